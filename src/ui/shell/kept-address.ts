import { useEffect, useRef } from 'react';
import { keepPlace } from './last-place';

/** Edits come faster than a browser likes new addresses: the first of a burst is taken at once, the
 * others no sooner than this after one another, or when a press or Enter may lead away. */
const AFTER_MS = 120;

/** Some browsers take only so many addresses in a while; a refused one is tried again. */
const AGAIN_MS = 1000;

/** Keeps the address up to date with what lies on a screen, so that it opens just that.
 * @param place the screen’s own address, under which it is found again
 * @param changed whether there is anything to keep yet
 * @param makeAddress called late; null leaves the address as it is. Must change when what it tells
 * changes, and only then */
export function useKeptAddress(
  place: string,
  changed: boolean,
  makeAddress: () => string | null,
): void {
  const taken = useRef(-Infinity);
  useEffect(() => {
    if (!changed) return;
    let timer: ReturnType<typeof setTimeout>;
    let done = false;
    const take = () => {
      if (done) return;
      taken.current = performance.now();
      const address = makeAddress();
      if (address !== null) keepPlace(place, address);
      done = address === null || setAddress(address);
      if (!done) timer = setTimeout(take, AGAIN_MS);
    };
    const onKey = (event: KeyboardEvent) => event.key === 'Enter' && take();
    timer = setTimeout(take, Math.max(0, AFTER_MS - (performance.now() - taken.current)));
    window.addEventListener('pagehide', take);
    window.addEventListener('pointerdown', take, { capture: true });
    window.addEventListener('keydown', onKey, { capture: true });
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', take);
      window.removeEventListener('pointerdown', take, { capture: true });
      window.removeEventListener('keydown', onKey, { capture: true });
    };
  }, [place, changed, makeAddress]);
}

/** Past the router, which would draw the page anew and drop a navigation that is under way.
 * @returns false when the browser refuses for now */
function setAddress(address: string): boolean {
  try {
    History.prototype.replaceState.call(window.history, window.history.state, '', address);
    return true;
  } catch {
    return false;
  }
}
