import { lazy, Suspense, useState, type ComponentType } from 'react';

/** A component that no first view waits for. Until it is there nothing is drawn in its place, and what lies
 * under it stays.
 * @returns the component; `load` fetches it ahead, so that it is drawn at once when it is wanted */
export function loadLate<P extends object>(fetch: () => Promise<ComponentType<P>>) {
  let loaded: ComponentType<P> | null = null;
  let loading: Promise<{ default: ComponentType<P> }> | null = null;
  const get = () => (loading ??= fetch().then((component) => ({ default: (loaded = component) })));
  const Late = lazy(get) as unknown as ComponentType<P>;
  function Loaded(props: P) {
    const [Component] = useState(() => loaded ?? Late);
    return (
      <Suspense fallback={null}>
        <Component {...props} />
      </Suspense>
    );
  }
  // One that cannot be fetched ahead says so when it is wanted.
  const load = () => void get().catch(() => (loading = null));
  return Object.assign(Loaded, { load });
}
