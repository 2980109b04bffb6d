'use client';

import { useCallback, useReducer } from 'react';
import type { Family } from '@/core/family';
import { packLink } from '@/core/recipe';
import type { FamilyId } from '@/core/studio';
import { useKeptAddress } from '../shell/kept-address';

/** What lies on the screen: a family, under a name once it has one. */
export interface FamilyDraft {
  readonly id: FamilyId | null;
  readonly name: string;
  readonly family: Family;
}

interface History {
  readonly past: readonly FamilyDraft[];
  readonly draft: FamilyDraft;
  readonly future: readonly FamilyDraft[];
  readonly saved: FamilyDraft | null;
  readonly about?: string | undefined;
}

type Change<T> = Partial<T> | ((now: T) => Partial<T>);

type Action =
  | {
      readonly kind: 'edit';
      readonly change: Change<FamilyDraft>;
      /** Edits of the same field in a row are one step back. */
      readonly about?: string | undefined;
    }
  | { readonly kind: 'undo' | 'redo' }
  | { readonly kind: 'saved'; readonly draft: FamilyDraft };

const MOST_STEPS = 100;

function reduce(history: History, action: Action): History {
  const { past, draft, future } = history;
  switch (action.kind) {
    case 'edit': {
      const { change, about } = action;
      const goesOn = about !== undefined && about === history.about;
      return {
        ...history,
        past: goesOn ? past : [...past, draft].slice(-MOST_STEPS),
        draft: { ...draft, ...(typeof change === 'function' ? change(draft) : change) },
        future: [],
        about,
      };
    }
    case 'undo': {
      const before = past.at(-1);
      if (!before) return history;
      return {
        ...history,
        past: past.slice(0, -1),
        draft: before,
        future: [draft, ...future],
        about: undefined,
      };
    }
    case 'redo': {
      const [next, ...rest] = future;
      return next ? { ...history, past: [...past, draft], draft: next, future: rest } : history;
    }
    case 'saved':
      return { ...history, draft: action.draft, saved: action.draft };
  }
}

/** Address lengths that browsers and servers take; longer families are kept by saving them. */
const LONGEST = 7000;

export type EditFamily = (change: Change<Family>, about?: string) => void;

/** The family on the screen, with undo and redo; the address follows it. */
export function useFamily(first: FamilyDraft, saved: FamilyDraft | null) {
  const [history, dispatch] = useReducer(reduce, {
    past: [],
    draft: first,
    future: [],
    saved,
  });
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
  const makeAddress = useCallback(() => {
    const parts = new URLSearchParams({ p: packLink(draft.family) });
    if (draft.id) parts.set('f', draft.id);
    if (draft.name) parts.set('n', draft.name);
    if (parts.toString().length <= LONGEST) return `/variations?${parts}`;
    return draft.id ? `/variations?f=${draft.id}` : null;
  }, [draft]);
  useKeptAddress('/variations', changed, makeAddress);
  return { history, edit, dispatch };
}
