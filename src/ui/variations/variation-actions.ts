import type { Family } from '@/core/family';
import type { Result } from '@/core/issue';
import type { Course } from '@/core/ladder';
import type { ClosedRecipe } from '@/core/recipe';
import type { ProgramTarget } from '../base';
import type { Shelf } from '../library';
import type { FamilyId, ProgramId, SavedFamily } from '@/core/studio';

/** An exercise on its way into a program; with steps, these are the rungs of its ladder. */
export interface SentExercise {
  readonly name: string;
  readonly recipe: ClosedRecipe;
  readonly steps?: readonly {
    readonly says: string;
    readonly recipe: ClosedRecipe;
    readonly untimed?: boolean;
  }[];
  /** How it is worked on; as usual when left out. */
  readonly course?: Course;
  /** Whether it waits until the one before it is done. */
  readonly follows?: boolean;
}

/** What is kept beyond the screen. */

export interface VariationActions {
  readonly save: (input: {
    id: FamilyId | null;
    name: string;
    family: Family;
  }) => Promise<Result<SavedFamily>>;
  readonly archive: (id: FamilyId, archived: boolean) => Promise<Result<null>>;
  /** Puts a rules table on the shelf. */
  readonly saveRules: Shelf['saveRules'];
  readonly send: (
    program: ProgramTarget,
    exercises: readonly SentExercise[],
  ) => Promise<Result<ProgramId>>;
}
