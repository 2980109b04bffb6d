import { z } from 'zod';
import {
  SUFFERING_IDS,
  VERDICTS,
  type Course,
  type LadderState,
  type SufferingId,
  type Verdict,
} from '../ladder';
import type { Family } from '../family';
import { LIMBS, type KitProfile, type Limb } from '../kit';
import type { ClosedRecipe } from '../recipe';
import { NOTE_NAMES, SYLLABLES_IDS } from '../time';
import {
  idSchema,
  type AssignmentId,
  type EntryId,
  type ExerciseId,
  type FamilyId,
  type ItemId,
  type PersonId,
  type ProgramId,
  type StudioId,
} from './id';
import type { Day } from './day';

/** Who looks: every use case takes one and refuses what is not theirs. */
export interface Viewer {
  readonly studioId: StudioId;
  readonly role: 'teacher' | 'student';
  readonly personId: PersonId;
}

export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly role: Viewer['role'];
  /** A line about a student: level, goal, kit. */
  readonly about: string;
  /** What a student plays on and how; null until somebody says so. */
  readonly kit: KitProfile | null;
}

/** How a studio names note values and counts. */
export const speechSchema = z.strictObject({
  notes: z.enum(NOTE_NAMES),
  /** A system by its id, or the studio's own syllables: three for 16ths, two for triplets. */
  syllables: z.union([
    z.enum(SYLLABLES_IDS),
    z.strictObject({ sixteenths: z.string().max(40), triplets: z.string().max(40) }),
  ]),
});

export type Speech = z.infer<typeof speechSchema>;

export const PLAIN_SPEECH: Speech = { notes: 'american', syllables: 'english' };

export interface SavedExercise {
  readonly id: ExerciseId;
  readonly name: string;
  readonly recipe: ClosedRecipe;
  readonly hash: string;
  readonly updatedAt: number;
}

/** A family of variations under a name. */
export interface SavedFamily {
  readonly id: FamilyId;
  readonly name: string;
  readonly family: Family;
}

export type FamilyName = Pick<SavedFamily, 'id' | 'name'>;

/** A saved exercise without its recipe, for lists. */
export type ExerciseName = Pick<SavedExercise, 'id' | 'name' | 'hash'>;

export interface ProgramItem {
  readonly id: ItemId;
  readonly exercise: SavedExercise;
  readonly course: Course;
}

export interface ProgramSummary {
  readonly id: ProgramId;
  readonly name: string;
  readonly items: number;
  readonly students: readonly string[];
}

export interface Program {
  readonly id: ProgramId;
  readonly name: string;
  readonly items: readonly ProgramItem[];
  readonly given: readonly {
    readonly assignmentId: AssignmentId;
    readonly student: Pick<Person, 'id' | 'name'>;
  }[];
}

/** One try as the log keeps it; `suffered` comes from a later entry that points to it. */
export interface LoggedTry {
  readonly id: EntryId;
  readonly itemId: ItemId;
  readonly at: number;
  readonly day: Day;
  readonly bpm: number;
  readonly verdict: Verdict;
  readonly bars: number;
  readonly seconds: number;
  readonly suffered: readonly Suffered[];
}

export interface Suffered {
  readonly what: SufferingId;
  readonly limb: Limb | null;
}

/** An item on a student's stand: what, how much, how fast, why. */
export interface StandItem {
  readonly assignmentId: AssignmentId;
  readonly program: string;
  readonly item: ProgramItem;
  readonly state: LadderState;
  readonly reason: string;
  readonly today: { readonly tries: number; readonly seconds: number };
}

/** An item's whole history for one student. */
export interface ItemRecord extends StandItem {
  readonly tries: readonly LoggedTry[];
}

export interface StudentSummary {
  readonly student: Person;
  readonly programs: readonly string[];
  readonly lastDay: Day | null;
  readonly triesThisWeek: number;
  readonly minutesThisWeek: number;
  /** Items that need the teacher, each with its reason. */
  readonly stuck: readonly string[];
}

/** Everything about one student. */
export interface StudentRecord {
  readonly student: Person;
  readonly items: readonly ItemRecord[];
  readonly today: Day;
}

/** A finished try on its way into the log. The id is made where the try was played, so that
 * sending it twice stores it once. */
export const tryInputSchema = z.strictObject({
  id: idSchema<'entry'>(),
  sessionId: idSchema<'session'>(),
  assignmentId: idSchema<'assignment'>(),
  itemId: idSchema<'item'>(),
  bpm: z.number().min(20).max(400),
  verdict: z.enum(VERDICTS),
  bars: z.int().min(1).max(100_000),
  seconds: z.number().min(0).max(86_400),
});

export type TryInput = z.infer<typeof tryInputSchema>;

/** What suffered in a try that is already in the log. */
export const sufferedInputSchema = z.strictObject({
  id: idSchema<'entry'>(),
  tryId: idSchema<'entry'>(),
  what: z.enum(SUFFERING_IDS),
  limb: z.enum(LIMBS).nullable(),
});

export type SufferedInput = z.infer<typeof sufferedInputSchema>;

/** What the Stand learns when an entry is stored. */
export interface StoredTry {
  readonly state: LadderState;
  readonly reason: string;
}
