import { useEffect, useState, useSyncExternalStore, type ComponentType } from 'react';

/** A component that no first view waits for. Until it is there nothing is drawn in its place, and what lies
 * under it stays. It comes by no timer, and never holds up what is around it.
 * @returns the component; `load` fetches it ahead, so that it is drawn at once when it is wanted */
export function loadLate<P extends object>(fetch: () => Promise<ComponentType<P>>) {
  let loaded: ComponentType<P> | null = null;
  let loading: Promise<void> | null = null;
  const listeners = new Set<() => void>();
  function subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }
  function get(): Promise<void> {
    loading ??= fetch().then(
      (component) => {
        loaded = component;
        for (const listener of listeners) listener();
      },
      (error: unknown) => {
        loading = null;
        throw error;
      },
    );
    return loading;
  }
  function Loaded(props: P) {
    const Component = useSyncExternalStore<ComponentType<P> | null>(
      subscribe,
      () => loaded,
      () => null,
    );
    const [failed, setFailed] = useState<{ readonly why: unknown } | null>(null);
    useEffect(() => {
      get().catch((why: unknown) => setFailed({ why }));
    }, []);
    if (failed) throw failed.why;
    return Component && <Component {...props} />;
  }
  // One that cannot be fetched ahead says so when it is wanted.
  const load = () => void get().catch(() => null);
  return Object.assign(Loaded, { load });
}
