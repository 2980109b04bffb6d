import type { Family } from '@/core/family';
import type { FamilyId } from '@/core/studio';
import { historyReducer, type History, type HistoryAction } from '../base/history';

/** What lies on the screen: a family, under a name once it has one. */
export interface FamilyDraft {
  readonly id: FamilyId | null;
  readonly name: string;
  readonly family: Family;
}

export type FamilyHistory = History<FamilyDraft>;
export type FamilyAction = HistoryAction<FamilyDraft>;

/** A family’s history: what is saved keeps its id, however far one steps back. */
export function familyHistory(history: FamilyHistory, action: FamilyAction): FamilyHistory {
  return historyReducer(history, action, (one, { id }) => ({ ...one, id }));
}
