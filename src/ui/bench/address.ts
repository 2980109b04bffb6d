import { useEffect } from 'react';
import { writeLink } from '@/core/recipe';
import type { Bpm } from '@/core/time';
import { keepPlace } from '../shell/last-place';
import { addressKey } from './address-key';
import type { Draft } from './draft';

/** Addresses that this page gave itself while the teacher was editing. */
const own = new Set<string>();

export function isOwnAddress(key: string): boolean {
  return own.has(key);
}

/** Keeps the address up to date, so that it opens what lies on the Bench. */
export function useAddress({ id, recipe }: Draft, tempo: Bpm, changed: boolean): void {
  useEffect(() => {
    if (!changed) return;
    const timer = setTimeout(() => {
      const link = writeLink(recipe);
      const parts = new URLSearchParams({ r: link, t: String(tempo) });
      if (id !== null) parts.set('x', id);
      own.add(addressKey(id ?? '', link));
      window.history.replaceState(null, '', `/bench?${parts}`);
      keepPlace('/bench', `/bench?${parts}`);
    }, 250);
    return () => clearTimeout(timer);
  }, [id, recipe, tempo, changed]);
}
