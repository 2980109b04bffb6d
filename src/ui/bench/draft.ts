import type { ClosedRecipe } from '@/core/recipe';
import type { ExerciseId } from '@/core/studio';
import { historyReducer, type History, type HistoryAction } from '../base/history';

/** What lies on the Bench: an exercise, saved under an id or not yet. */
export interface Draft {
  readonly id: ExerciseId | null;
  /** Tells apart the exercises that lay here one after the other. */
  readonly sheet: number;
  /** Empty until the teacher gives one. */
  readonly name: string;
  readonly recipe: ClosedRecipe;
}

export type DraftHistory = History<Draft>;
export type DraftAction = HistoryAction<Draft>;

/** The Bench’s history: a saved exercise’s id goes to all drafts of its sheet. */
export function draftReducer(history: DraftHistory, action: DraftAction): DraftHistory {
  return historyReducer(history, action, (one, { id, sheet }) =>
    one.sheet === sheet ? { ...one, id } : one,
  );
}

export function isSaved({ draft, saved }: DraftHistory): boolean {
  return (
    saved !== null &&
    saved.id === draft.id &&
    saved.name === draft.name &&
    (saved.recipe === draft.recipe || JSON.stringify(saved.recipe) === JSON.stringify(draft.recipe))
  );
}
