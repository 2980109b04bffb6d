import { useEffect, useState } from 'react';
import { AddressKeeper } from './address-keeper';
import { keepPlace } from './last-place';

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
  const [keeper] = useState(
    () =>
      new AddressKeeper((address) => {
        keepPlace(place, address);
        return setAddress(address);
      }),
  );
  useEffect(() => {
    if (!changed) return;
    const take = () => keeper.take();
    const onKey = (event: KeyboardEvent) => event.key === 'Enter' && take();
    keeper.keep(makeAddress);
    window.addEventListener('pagehide', take);
    window.addEventListener('pointerdown', take, { capture: true });
    window.addEventListener('keydown', onKey, { capture: true });
    return () => {
      keeper.forget();
      window.removeEventListener('pagehide', take);
      window.removeEventListener('pointerdown', take, { capture: true });
      window.removeEventListener('keydown', onKey, { capture: true });
    };
  }, [keeper, changed, makeAddress]);
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
