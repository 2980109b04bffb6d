import type { Family } from '@/core/family';
import type { FamilyId } from '@/core/studio';

/** What lies on the screen: a family, under a name once it has one. */
export interface FamilyDraft {
  readonly id: FamilyId | null;
  readonly name: string;
  readonly family: Family;
}

/** What was on the screen before and after, and what is stored. */
export interface FamilyHistory {
  readonly past: readonly FamilyDraft[];
  readonly draft: FamilyDraft;
  readonly future: readonly FamilyDraft[];
  readonly saved: FamilyDraft | null;
  readonly about?: string | undefined;
}

export type Change<T> = Partial<T> | ((now: T) => Partial<T>);

type FamilyAction =
  | {
      readonly kind: 'edit';
      readonly change: Change<FamilyDraft>;
      /** Edits of the same field in a row are one step back. */
      readonly about?: string | undefined;
    }
  | { readonly kind: 'undo' | 'redo' }
  | { readonly kind: 'saved'; readonly draft: FamilyDraft };

const MOST_STEPS = 100;

/** Edits, steps back and forth, and saving: what is saved keeps its id, however far one steps back. */
export function familyHistory(history: FamilyHistory, action: FamilyAction): FamilyHistory {
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
    case 'saved': {
      const { id } = action.draft;
      const named = (all: readonly FamilyDraft[]) => all.map((one) => ({ ...one, id }));
      return {
        past: named(past),
        draft: action.draft,
        future: named(future),
        saved: action.draft,
      };
    }
  }
}
