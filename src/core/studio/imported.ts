import type { Choice, Draft, Left, PlayedGrid, PlayedNote } from '../format';
import type { ExerciseId, FamilyId, MaterialId, PersonId, ProgramId } from '../id';

/** What came in with a bundle, to be looked at, or taken out again. */
export interface Imported {
  readonly people: readonly PersonId[];
  readonly materials: readonly MaterialId[];
  readonly exercises: readonly ExerciseId[];
  readonly families: readonly FamilyId[];
  readonly programs: readonly ProgramId[];
}

/** What a bundle would bring, before it is taken in. */
export interface BundleSummary {
  readonly materials: readonly string[];
  readonly exercises: readonly string[];
  /** Of them, those that the studio has by that name already, and that play the same. */
  readonly known: readonly string[];
  readonly families: readonly string[];
  readonly programs: readonly { readonly name: string; readonly items: number }[];
}

/** A part of a file of music: what it would become, and what of it would not come in. */
export interface PartLook {
  readonly name: string;
  readonly isKit: boolean;
  readonly voices: readonly string[];
  readonly choice: Choice;
  readonly drafts: readonly Draft[];
  readonly left: readonly Left[];
}

/** What a file would bring, before it is taken in. */
export type FileLook =
  | { readonly kind: 'bundle'; readonly summary: BundleSummary }
  | {
      readonly kind: 'roster';
      readonly coming: readonly { readonly name: string; readonly about: string }[];
      /** Names that the studio has already; they are not taken twice. */
      readonly known: readonly string[];
    }
  | {
      readonly kind: 'music';
      readonly grid: PlayedGrid | null;
      /** Of what was played, those farthest from their slots first. */
      readonly notes: readonly PlayedNote[];
      readonly noteCount: number;
      readonly doubtful: number;
      readonly parts: readonly PartLook[];
    };
