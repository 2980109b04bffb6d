import { useEffect, useState, useSyncExternalStore, type ComponentType } from 'react';

interface Late<T> {
  /** What was fetched; null while it is on its way, or when it cannot be had.
   * @param wanted whether it is needed now; fetched once it is */
  readonly useLate: (wanted?: boolean) => { readonly value: T | null; readonly failed: unknown };
  /** Fetches it ahead, so that it is there at once when it is wanted. */
  readonly load: () => void;
}

/** Something that no first view waits for. It comes by no timer. */
export function fetchLate<T>(fetch: () => Promise<T>): Late<T> {
  let loaded: { readonly value: T } | null = null;
  let loading: Promise<void> | null = null;
  const listeners = new Set<() => void>();
  function subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }
  function get(): Promise<void> {
    loading ??= fetch().then(
      (value) => {
        loaded = { value };
        for (const listener of listeners) listener();
      },
      (error: unknown) => {
        loading = null;
        throw error;
      },
    );
    return loading;
  }
  function useLate(wanted = true) {
    const found = useSyncExternalStore<{ readonly value: T } | null>(
      subscribe,
      () => loaded,
      () => null,
    );
    const [failed, setFailed] = useState<unknown>(null);
    useEffect(() => {
      if (wanted) get().catch((why: unknown) => setFailed(why ?? new Error('not fetched')));
    }, [wanted]);
    return { value: found?.value ?? null, failed };
  }
  // What cannot be fetched ahead says so when it is wanted.
  return { useLate, load: () => void get().catch(() => null) };
}

/** A component that no first view waits for. Until it is there nothing is drawn in its place, and what lies
 * under it stays; it never holds up what is around it.
 * @returns the component; `load` fetches it ahead */
export function loadLate<P extends object>(fetch: () => Promise<ComponentType<P>>) {
  const late = fetchLate(fetch);
  function Loaded(props: P) {
    const { value: Component, failed } = late.useLate();
    if (failed !== null) throw failed;
    return Component && <Component {...props} />;
  }
  return Object.assign(Loaded, { load: late.load });
}
