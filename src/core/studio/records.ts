import { z } from 'zod';
import type { Day } from '../calendar';
import type { CrossingCount } from '../breaks';
import type { Family } from '../family';
import {
  idSchema,
  type AssignmentId,
  type EntryId,
  type ExerciseId,
  type FamilyId,
  type ItemId,
  type NoteId,
  type PersonId,
  type ProgramId,
  type StudioId,
} from '../id';
import type { KitProfile } from '../kit';
import { LIMBS } from '../kit';
import { SUFFERING_IDS, VERDICTS, type Decided, type LadderState, type Try } from '../ladder';
import type { EntryKind, Planning, Surface } from '../plan';
import type { Outline, OutlineItem } from '../program';
import type { ClosedRecipe } from '../recipe';
import type { Need } from '../roster';
import { NOTE_NAMES, SYLLABLES_IDS } from '../time';

export type { Suffered } from '../ladder';

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

/** An item with the recipe that it was put in with. */
export type ProgramItem = OutlineItem & { readonly recipe: ClosedRecipe };

export interface ProgramSummary {
  readonly id: ProgramId;
  readonly name: string;
  readonly items: number;
  readonly students: readonly string[];
  /** Kept as a start for others. */
  readonly template: boolean;
}

/** Who has a program, and which version of it. */
export interface Given {
  readonly assignmentId: AssignmentId;
  readonly student: Pick<Person, 'id' | 'name'>;
  readonly version: number;
  /** Tempi from which this student starts, by item. */
  readonly starts: Readonly<Record<ItemId, number>>;
}

export interface Program {
  readonly id: ProgramId;
  readonly name: string;
  readonly template: boolean;
  /** The latest version; those who have an earlier one keep it until they follow. */
  readonly version: number;
  /** Changes with every change; a change made on an older one is refused. */
  readonly revision: number;
  readonly outline: Outline;
  readonly recipes: Readonly<Record<ItemId, ClosedRecipe>>;
  /** Items whose exercise was saved anew since, with what it plays now. */
  readonly stale: Readonly<Record<ItemId, string>>;
  readonly given: readonly Given[];
}

/** One try as the log keeps it; what suffered and where it broke come from later entries. */
export interface LoggedTry extends Try {
  readonly id: EntryId;
  readonly itemId: ItemId;
  readonly at: number;
  /** Grows with every entry of the log. */
  readonly seq: number;
  readonly bars: number;
  readonly seconds: number;
  /** Typed in from a sheet of paper. */
  readonly paper: boolean;
  /** What the student wrote about it; the last word counts. */
  readonly remark: string;
}

export interface LoggedDecision extends Decided {
  readonly id: EntryId;
  readonly itemId: ItemId;
  readonly at: number;
  readonly seq: number;
  readonly takenBack: boolean;
}

/** An item on a student's stand: what, how much, how fast, why. */
export interface StandItem {
  readonly assignmentId: AssignmentId;
  readonly program: string;
  readonly section: string;
  readonly item: OutlineItem;
  /** What is played now: on this student's kit, as the rung asks, varied. */
  readonly plays: ClosedRecipe;
  readonly state: LadderState;
  readonly reason: string;
  readonly cues: readonly string[];
  /** Names of the items that come first and are not passed yet. */
  readonly waitsFor: readonly string[];
  /** Passed, and due again later. */
  readonly resting: boolean;
  readonly today: { readonly tries: number; readonly seconds: number };
}

/** An item's whole history for one student. */
export interface ItemRecord extends StandItem {
  /** The whole, on this student's kit. */
  readonly whole: ClosedRecipe;
  readonly tries: readonly LoggedTry[];
  readonly decisions: readonly LoggedDecision[];
}

/** A weak crossing with its place in an exercise of the student's, and the loop that mends it. */
export interface WeakPlace {
  readonly count: CrossingCount;
  readonly item: ItemId;
  readonly name: string;
  readonly where: string;
  readonly beat: number;
  readonly loop: ClosedRecipe;
}

export interface Note {
  readonly id: NoteId;
  readonly text: string;
  readonly day: Day;
  readonly at: number;
}

export interface StudentSummary {
  readonly student: Person;
  readonly programs: readonly string[];
  readonly lastDay: Day | null;
  readonly triesThisWeek: number;
  readonly minutesThisWeek: number;
  /** Why the student needs the teacher, most urgent first. */
  readonly needs: readonly Need[];
  /** How urgent, for the order of the roster. */
  readonly urgency: number;
}

/** Everything about one student. */
export interface StudentRecord {
  readonly student: Person;
  readonly items: readonly ItemRecord[];
  readonly today: Day;
  readonly needs: readonly Need[];
  readonly weak: readonly WeakPlace[];
  readonly notes: readonly Note[];
}

/** What was practised on a date. */
export interface DoneDay {
  readonly day: Day;
  readonly tries: number;
  readonly seconds: number;
}

/** An exercise in a plan, beside its `Work`. */
export type PlanItem = Pick<StandItem, 'assignmentId' | 'program' | 'plays' | 'reason'> & {
  readonly item: OutlineItem;
  /** Where the ladder stands. */
  readonly rung: string;
  readonly bpm: number;
};

/** A student's plan: what is planned, when, and what was done. Works, their states and `items` go
 * together by place; the days are worked out by `planDays`. */
export interface StudentPlan {
  readonly student: Pick<Person, 'id' | 'name'>;
  readonly planning: Planning;
  /** Whether anybody has said when the student practises. */
  readonly scheduled: boolean;
  readonly items: readonly PlanItem[];
  readonly done: readonly DoneDay[];
  /** How far along the way all ladders together were, by date, 0 to 1. */
  readonly way: readonly { readonly day: Day; readonly share: number }[];
  /** Planned dates that passed without practice since the last one with some. */
  readonly missed: readonly Day[];
  /** Share of the planned dates that are kept, 0 to 1. */
  readonly keeps: number;
  /** Time of day in the studio, as `18:30`. */
  readonly clock: string;
}

/** One place in a round at the stand: a try of an item, or a break. */
export interface RoundSlot {
  /** Names the item: assignment and item; null is a break. */
  readonly key: string | null;
  readonly kind: EntryKind;
  readonly on: Surface;
  /** Minutes of a try that was cut to fit; null plays the whole dosage. */
  readonly cutTo: number | null;
}

/** What to play at the stand, in order. */
export interface Round {
  /** All of the student's, so that what was begun before can be judged whatever the plan says now. */
  readonly items: readonly StandItem[];
  readonly slots: readonly RoundSlot[];
  readonly day: Day;
  /** A day's noise, where it is too much. */
  readonly caution: string | null;
}

/** Names an item of a student. @example keyOf(item) // => 'assignment item' */
export function keyOf({
  assignmentId,
  item,
}: {
  readonly assignmentId: AssignmentId;
  readonly item: { readonly id: ItemId };
}): string {
  return `${assignmentId} ${item.id}`;
}

/** What a student's own version of a program differs in. */
export interface StudentVersion {
  readonly given: Given;
  readonly kit: KitProfile | null;
  readonly items: readonly VersionItem[];
}

export interface VersionItem {
  readonly item: ItemId;
  readonly name: string;
  /** Null where it cannot be played on this kit. */
  readonly recipe: ClosedRecipe | null;
  readonly startBpm: number;
  /** Where this student stands; null before the first try. */
  readonly now: string | null;
  /** What is replaced on this kit, and what else differs, in words. */
  readonly differs: readonly string[];
  /** What of the student's weak crossings lies in it, in words, weakest first. */
  readonly warnings: readonly string[];
  /** Likely share of tries that break there, 0 to 1. */
  readonly risk: number;
}

/** A finished try on its way into the log. The id is made where the try was played, so that
 * sending it twice stores it once. */
export const tryInputSchema = z.strictObject({
  id: idSchema<'entry'>(),
  sessionId: idSchema<'session'>(),
  assignmentId: idSchema<'assignment'>(),
  itemId: idSchema<'item'>(),
  bpm: z.number().min(20).max(400),
  /** The rung that was played, by its key. */
  rung: z.string().max(160).nullable().default(null),
  /** How long ago it was played, by the clock that was there; it may have waited to be sent. */
  agoMs: z
    .number()
    .min(0)
    .max(30 * 86_400_000)
    .default(0),
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

/** The felt beat of the cycle on which a try broke, from 0. */
export const brokeInputSchema = z.strictObject({
  id: idSchema<'entry'>(),
  tryId: idSchema<'entry'>(),
  beat: z.int().min(0).max(4096),
});

export type BrokeInput = z.infer<typeof brokeInputSchema>;

/** What a student writes about a try that is already in the log. */
export const remarkInputSchema = z.strictObject({
  id: idSchema<'entry'>(),
  tryId: idSchema<'entry'>(),
  text: z.string().trim().min(1).max(300),
});

export type RemarkInput = z.infer<typeof remarkInputSchema>;

/** What the Stand learns when a try is stored. */
export type StoredTry = Pick<StandItem, 'state' | 'reason' | 'plays'>;
