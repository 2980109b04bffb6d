import { useEffect, useEffectEvent, useRef } from 'react';
import { readLink, writeLink, type ClosedRecipe } from '@/core/recipe';
import type { Bpm } from '@/core/time';
import { keepPlace } from '../shell/last-place';
import type { Draft } from './draft';

/** Edits come faster than a browser likes new addresses: the last of a burst is taken, this long
 * after it, or when a press or Enter may lead away. */
const AFTER_MS = 120;

/** Some browsers take only so many addresses in a while; a refused one is tried again. */
const AGAIN_MS = 1000;

/** Keeps the address up to date with every edit, so that it opens what lies on the Bench. */
export function useAddress({ id, recipe }: Draft, tempo: Bpm, changed: boolean): void {
  useEffect(() => {
    if (!changed) return;
    let timer: ReturnType<typeof setTimeout>;
    let done = false;
    const take = () => {
      if (done) return;
      const parts = new URLSearchParams({ r: writeLink(recipe), t: String(tempo) });
      if (id !== null) parts.set('x', id);
      const address = `/bench?${parts}`;
      keepPlace('/bench', address);
      done = setAddress(address);
      if (!done) timer = setTimeout(take, AGAIN_MS);
    };
    const onKey = (event: KeyboardEvent) => event.key === 'Enter' && take();
    timer = setTimeout(take, AFTER_MS);
    window.addEventListener('pagehide', take);
    window.addEventListener('pointerdown', take, { capture: true });
    window.addEventListener('keydown', onKey, { capture: true });
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', take);
      window.removeEventListener('pointerdown', take, { capture: true });
      window.removeEventListener('keydown', onKey, { capture: true });
    };
  }, [id, recipe, tempo, changed]);
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

/** The recipe that the address holds, when it is another one than the page came with: on the way
 * back to the Bench the browser has the address of the last edit, but the router the first page. */
export function useRecipeOfAddress({ recipe }: Draft, take: (recipe: ClosedRecipe) => void): void {
  const first = useRef(recipe);
  const onArrival = useEffectEvent(() => {
    const link = new URLSearchParams(window.location.search).get('r');
    const read = link ? readLink(link) : null;
    if (!read?.ok || JSON.stringify(read.value) === JSON.stringify(first.current)) return;
    take(read.value);
  });
  useEffect(() => onArrival(), []);
}
