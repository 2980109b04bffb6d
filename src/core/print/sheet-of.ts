import type { PersonId, ProgramId } from '../id';
import type { ClosedRecipe } from '../recipe';

/** What is wanted on paper. */
export type SheetOf =
  | {
      /** An exercise, or several: a family, what covers it, a run. */
      readonly kind: 'exercises';
      readonly title: string;
      readonly entries: readonly { readonly name: string; readonly recipe: ClosedRecipe }[];
      /** Beats a minute that they begin at. */
      readonly bpm: number;
    }
  | {
      readonly kind: 'line';
      readonly name: string;
      readonly text: string;
      readonly meter: string;
    }
  /** A program as it is, for anybody. */
  | { readonly kind: 'program'; readonly program: ProgramId }
  /** A student's week, with everything on the stand, or one program's exercises written out. */
  | { readonly kind: 'week'; readonly student: PersonId; readonly program: ProgramId | null }
  /** A week for everybody who has a program. */
  | { readonly kind: 'class'; readonly program: ProgramId };
