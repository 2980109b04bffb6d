import { useEffect, useEffectEvent, useRef } from 'react';
import { readLink, writeLink, type ClosedRecipe } from '@/core/recipe';
import type { Bpm } from '@/core/time';
import { keepPlace } from '../shell/last-place';
import type { Draft } from './draft';

/** Keeps the address up to date, so that it opens what lies on the Bench. */
export function useAddress({ id, recipe }: Draft, tempo: Bpm, changed: boolean): void {
  useEffect(() => {
    if (!changed) return;
    const timer = setTimeout(() => {
      const parts = new URLSearchParams({ r: writeLink(recipe), t: String(tempo) });
      if (id !== null) parts.set('x', id);
      // Past the router, which would draw the page anew and drop a navigation that is under way.
      const { history } = window;
      History.prototype.replaceState.call(history, history.state, '', `/bench?${parts}`);
      keepPlace('/bench', `/bench?${parts}`);
    }, 250);
    return () => clearTimeout(timer);
  }, [id, recipe, tempo, changed]);
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
