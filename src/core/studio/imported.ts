import type { Choice, Draft, Left, PlayedGrid, PlayedNote, StudioSettings } from '../format';
import type { Day } from '../calendar';
import type { VoiceId } from '../kit';
import type { EntryId, ExerciseId, FamilyId, MaterialId, PersonId, ProgramId } from '../id';

/** Most tries of a table that comes in. */
export const MOST_TRIES = 5000;

export type SettingId = keyof StudioSettings;

/** What came in with a file, to be looked at, or taken out again. */
export interface Imported {
  readonly people: readonly PersonId[];
  readonly materials: readonly MaterialId[];
  readonly exercises: readonly ExerciseId[];
  readonly families: readonly FamilyId[];
  readonly programs: readonly ProgramId[];
  readonly tries: readonly { readonly student: PersonId; readonly ids: readonly EntryId[] }[];
  /** What the studio had not said itself. */
  readonly settings: StudioSettings;
}

/** A file of which nothing came in. */
export const NOTHING_IMPORTED: Imported = {
  people: [],
  materials: [],
  exercises: [],
  families: [],
  programs: [],
  tries: [],
  settings: { speech: null, steps: null },
};

/** What a bundle would bring, before it is taken in. */
export interface BundleSummary {
  readonly materials: readonly string[];
  readonly exercises: readonly string[];
  /** Of them, those that the studio has by that name already, and that play the same. */
  readonly known: readonly string[];
  readonly families: readonly string[];
  readonly programs: readonly { readonly name: string; readonly items: number }[];
  /** Who comes with how many tries. */
  readonly students: readonly { readonly name: string; readonly tries: number }[];
  /** Names that the studio has already; they and their logs are left. */
  readonly knownStudents: readonly string[];
  /** Settings that come, and those that this studio has of its own, which stay. */
  readonly settings: readonly SettingId[];
  readonly knownSettings: readonly SettingId[];
}

/** A part of a file of music: what it would become, and what of it would not come in. */
export interface PartLook {
  readonly name: string;
  readonly isKit: boolean;
  readonly voices: readonly string[];
  readonly choice: Choice;
  /** The first of what comes in. */
  readonly drafts: readonly Draft[];
  /** How many come in. */
  readonly count: number;
  readonly left: readonly Left[];
}

/** A table of tries: what would come into whose log, and what would not. */
export interface LogLook {
  readonly kind: 'log';
  /** Rows that do not say whose they are. */
  readonly unsaid: number;
  /** Who may be meant. */
  readonly students: readonly { readonly id: PersonId; readonly name: string }[];
  /** By student and exercise. */
  readonly coming: readonly {
    readonly student: string;
    readonly exercise: string;
    readonly tries: number;
    readonly from: Day;
    readonly to: Day;
    /** Where the ladder stands, and where it would then, in bpm. */
    readonly bpm: number;
    readonly thenBpm: number;
  }[];
  /** Tries that are in the log already. */
  readonly known: number;
  /** Rows that have no place: nobody of that name or several, nothing of that name with this student or several. */
  readonly left: readonly {
    readonly why: 'student' | 'students' | 'exercise' | 'several';
    readonly name: string;
    readonly lines: readonly number[];
  }[];
}

/** What a file would bring, before it is taken in. */
export type FileLook =
  | { readonly kind: 'bundle'; readonly summary: BundleSummary }
  | LogLook
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
      /** Keys of drums that are none of ours, and what each sounds as; null leaves it out. */
      readonly keys: readonly {
        readonly key: number;
        readonly count: number;
        readonly voice: VoiceId | null;
        /** Whether somebody said so. */
        readonly isSaid: boolean;
      }[];
      readonly noteCount: number;
      readonly doubtful: number;
      readonly parts: readonly PartLook[];
    };
