import { useCallback, useEffect, useEffectEvent, useRef } from 'react';
import type { ClosedRecipe } from '@/core/recipe';
import type { Bpm } from '@/core/time';
import { useKeptAddress } from '../shell/kept-address';
import { packing, usePacking } from '../shell/recipe-link';
import type { Draft } from './draft';

/** Keeps the address up to date with every edit, so that it opens what lies on the Bench. */
export function useAddress({ id, recipe }: Draft, tempo: Bpm, changed: boolean): void {
  const ready = usePacking();
  const makeAddress = useCallback(() => {
    if (!ready) return null;
    const parts = new URLSearchParams({ r: ready.writeLink(recipe), t: String(tempo) });
    if (id !== null) parts.set('x', id);
    return `/bench?${parts}`;
  }, [id, ready, recipe, tempo]);
  useKeptAddress('/bench', changed, makeAddress);
}

/** The recipe that the address holds, when it is another one than the page came with: on the way
 * back to the Bench the browser has the address of the last edit, but the router the first page. What was
 * edited before it could be read stays. */
export function useRecipeOfAddress({ recipe }: Draft, take: (recipe: ClosedRecipe) => void): void {
  const first = useRef(recipe);
  const takeUnlessEdited = useEffectEvent((read: ClosedRecipe) => {
    if (recipe === first.current) take(read);
  });
  const onArrival = useEffectEvent(async () => {
    const link = new URLSearchParams(window.location.search).get('r');
    if (link === null) return;
    const { writeLink } = await packing();
    if (link === writeLink(first.current)) return;
    const { readLink } = await import('./arrival');
    const read = readLink(link);
    if (!read.ok || JSON.stringify(read.value) === JSON.stringify(first.current)) return;
    takeUnlessEdited(read.value);
  });
  useEffect(() => void onArrival(), []);
}
