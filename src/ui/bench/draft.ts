import type { ClosedRecipe } from '@/core/recipe';
import type { ExerciseId } from '@/core/studio';

/** What lies on the Bench: an exercise, saved under an id or not yet. */
export interface Draft {
  readonly id: ExerciseId | null;
  /** Tells apart the exercises that lay here one after the other. */
  readonly sheet: number;
  /** Empty until the teacher gives one. */
  readonly name: string;
  readonly recipe: ClosedRecipe;
}

/** A draft with what came before and after it. */
export interface History {
  readonly past: readonly Draft[];
  readonly draft: Draft;
  readonly future: readonly Draft[];
  /** The draft as it was last saved. */
  readonly saved: Draft | null;
  /** What the last edit was about; another one about the same joins it. */
  readonly about: string | null;
}

export type HistoryAction =
  | { readonly kind: 'edit'; readonly change: Partial<Draft>; readonly about?: string }
  | { readonly kind: 'undo' | 'redo' | 'settle' }
  | { readonly kind: 'saved'; readonly draft: Draft };

/** Steps that can be taken back. */
const DEEPEST = 200;

/** @param saved the draft as it is stored, when it is */
export function startHistory({ draft, saved }: Pick<History, 'draft' | 'saved'>): History {
  return { past: [], draft, future: [], saved, about: null };
}

/** Edits, undo and redo. Letters typed into one field are one edit until it is settled. */
export function historyReducer(history: History, action: HistoryAction): History {
  const { past, draft, future } = history;
  switch (action.kind) {
    case 'edit': {
      const joins = action.about !== undefined && action.about === history.about;
      return {
        ...history,
        past: joins ? past : [...past, draft].slice(-DEEPEST),
        draft: { ...draft, ...action.change },
        future: [],
        about: action.about ?? null,
      };
    }
    case 'settle':
      return history.about === null ? history : { ...history, about: null };
    case 'undo': {
      const before = past.at(-1);
      if (!before) return history;
      const rest = { past: past.slice(0, -1), future: [draft, ...future] };
      return { ...history, ...rest, draft: before, about: null };
    }
    case 'redo': {
      const after = future[0];
      if (!after) return history;
      const rest = { past: [...past, draft], future: future.slice(1) };
      return { ...history, ...rest, draft: after, about: null };
    }
    case 'saved': {
      const { id, sheet } = action.draft;
      const named = (one: Draft) => (one.sheet === sheet ? { ...one, id } : one);
      return {
        ...history,
        past: past.map(named),
        draft: named(draft),
        future: future.map(named),
        saved: action.draft,
      };
    }
  }
}

export function isSaved({ draft, saved }: History): boolean {
  return (
    saved !== null &&
    saved.id === draft.id &&
    saved.name === draft.name &&
    JSON.stringify(saved.recipe) === JSON.stringify(draft.recipe)
  );
}
