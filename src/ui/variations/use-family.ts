'use client';

import { useCallback, useEffect, useReducer } from 'react';
import type { Family } from '@/core/family';
import { useKeptAddress } from '../shell/kept-address';
import { usePacking } from '../shell/recipe-link';
import { startHistory, type Change } from '../base/history';
import { familyHistory, type FamilyDraft } from './family-history';

/** Address lengths that browsers and servers take. A family that is longer is kept by saving it; the
 * browser asks before it goes. */
const LONGEST = 7000;

export type EditFamily = (change: Change<Family>, about?: string) => void;

/** The family on the screen, with undo and redo; the address follows it. */
export function useFamily(first: FamilyDraft, saved: FamilyDraft | null) {
  const [history, dispatch] = useReducer(familyHistory, { draft: first, saved }, startHistory);
  const { draft } = history;
  const edit = useCallback(
    (change: Change<Family>, about?: string) =>
      dispatch({
        kind: 'edit',
        about,
        change: ({ family }) => ({
          family: { ...family, ...(typeof change === 'function' ? change(family) : change) },
        }),
      }),
    [],
  );
  const changed = history.past.length > 0 || draft !== first;
  const packing = usePacking();
  const makeAddress = useCallback(() => {
    if (!packing) return null;
    const parts = new URLSearchParams({ p: packing.packLink(draft.family) });
    if (draft.id) parts.set('f', draft.id);
    if (draft.name) parts.set('n', draft.name);
    if (parts.toString().length <= LONGEST) return `/variations?${parts}`;
    return draft.id ? `/variations?f=${draft.id}` : null;
  }, [draft, packing]);
  useKeptAddress('/variations', changed, makeAddress);
  const unsaved = changed && draft.family !== history.saved?.family;
  useEffect(() => {
    if (!unsaved) return;
    const warn = (event: BeforeUnloadEvent) => makeAddress() === null && event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unsaved, makeAddress]);
  return { history, edit, dispatch };
}
