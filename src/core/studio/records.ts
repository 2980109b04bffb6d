import type { Day } from '../calendar';
import type { Audited, Role } from './access';
import type { CrossingCount, StepPlace } from '../breaks';
import type { Family } from '../family';
import type {
  AssignmentId,
  EntryId,
  ExerciseId,
  FamilyId,
  ItemId,
  PersonId,
  ProgramId,
  StudioId,
} from '../id';
import type { KitProfile, VoiceId } from '../kit';
import type { Issue, Result } from '../issue';
import type { LadderStanding, LadderState, RungFacts } from '../ladder';
import type { LoggedDecision, LoggedTry, SufferingId } from '../log';
import type { CurvePoint, ItemDay, ItemSums, OnStand, PlayedOn, SufferedCount } from '../progress';
import type { EntryKind, Planning, Surface } from '../plan';
import type { Outline, OutlineItem } from '../program';
import type { ClosedRecipe } from '../recipe';
import type { BreakPlace, Need } from '../roster';
import type { Dose } from '../safety';

/** Who looks. */
export interface Viewer {
  readonly studioId: StudioId;
  readonly role: Role;
  readonly personId: PersonId;
}

export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly role: Role;
  /** A line about a student: level, goal, kit. */
  readonly about: string;
  /** What a student plays on and how; null until somebody says so. */
  readonly kit: KitProfile | null;
}

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

/** An item on a student's stand: what, how much, how fast, why. */
export interface StandItem extends OnStand {
  readonly assignmentId: AssignmentId;
  readonly program: string;
  readonly section: string;
  readonly item: OutlineItem;
  /** The whole, on this student's kit. */
  readonly whole: ClosedRecipe;
  readonly state: LadderState;
  /** The tries that the ladder's next move may rest on. */
  readonly recent: Pick<LadderStanding, 'late' | 'lowest'>;
  /** Names of the items that come first and are not passed yet. */
  readonly waitsFor: readonly string[];
  /** Passed, and due again later. */
  readonly resting: boolean;
  readonly today: PlayedOn;
  /** What the teacher has this student watch for before the program's cues; empty for nothing. */
  readonly cue: string;
}

/** A try of which nobody has said how it went. */
export interface OpenTry extends Pick<LoggedTry, 'id' | 'day' | 'bpm' | 'bars'> {
  readonly name: string;
}

/** An item's history for one student; short, however long the log is. */
export interface ItemRecord extends StandItem {
  /** All tries. */
  readonly count: number;
  /** The last ones, oldest first; the others are read when they are asked for. */
  readonly latest: readonly LoggedTry[];
  /** Those that a proposal rests on, oldest first. */
  readonly rests: readonly LoggedTry[];
  readonly curve: readonly CurvePoint[];
  readonly days: readonly ItemDay[];
  readonly mix: ItemSums['mix'];
  readonly suffered: ReadonlyMap<SufferingId, SufferedCount>;
  readonly decisions: readonly LoggedDecision[];
}

/** A weak crossing with its place in an exercise of the student's, and the loop that mends it. */
export interface WeakPlace {
  readonly count: CrossingCount;
  readonly item: ItemId;
  readonly name: string;
  readonly place: StepPlace;
  readonly beat: number;
  readonly loop: ClosedRecipe;
}

export interface Note {
  readonly id: EntryId;
  readonly text: string;
  readonly day: Day;
  readonly at: number;
}

export interface StudentSummary {
  readonly student: Person;
  /** Whether they have a way in; in a demo nobody needs one, and on the studio's tablet there is a number. */
  readonly getsIn: boolean;
  readonly programs: readonly string[];
  readonly lastDay: Day | null;
  readonly triesThisWeek: number;
  /** Of them, those of which nobody has said how they went. */
  readonly openThisWeek: number;
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
export type PlanItem = Pick<StandItem, 'assignmentId' | 'program' | 'plays' | 'why'> & {
  readonly item: OutlineItem;
  /** Where the ladder stands. */
  readonly rung: RungFacts;
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
  readonly caution: Dose | null;
}

/** Names an item of a student. @example keyOf(item) // => 'assignment item' */
export function itemKey({
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

/** What a student plays otherwise than it is written. */
export type Difference =
  | { readonly kind: 'unplayable' }
  | { readonly kind: 'handedness'; readonly handedness: KitProfile['handedness'] }
  | { readonly kind: 'no-voice'; readonly voice: VoiceId }
  | { readonly kind: 'voice-for'; readonly voice: VoiceId; readonly by: VoiceId };

/** A crossing that broke before. */
export interface BreakWarning extends BreakPlace {
  readonly breaks: number;
  readonly tries: number;
}

export interface VersionItem {
  readonly item: ItemId;
  readonly name: string;
  /** Null where it cannot be played on this kit. */
  readonly recipe: ClosedRecipe | null;
  readonly startBpm: number;
  /** Where this student stands; null before the first try. */
  readonly now: RungFacts | null;
  /** What is replaced on this kit, and what else differs. */
  readonly differs: readonly Difference[];
  /** What of the student's weak crossings lies in it, weakest first. */
  readonly warnings: readonly BreakWarning[];
  /** Likely share of tries that break there, 0 to 1. */
  readonly risk: number;
}

/** Where an item stands, as the log has it: what the Stand learns when entries are stored. */
export type Standing = Pick<
  StandItem,
  'assignmentId' | 'state' | 'recent' | 'why' | 'plays' | 'cues' | 'cue' | 'resting' | 'today'
> & { readonly item: Pick<OutlineItem, 'id'> };

/** What became of an entry that was posted: whether the log has it, or why it never will. */
export interface EntryAnswer {
  readonly id: EntryId;
  readonly result: Result<null>;
}

/** What became of a batch, in its order, and where its items stand then. */
export interface BatchAnswer {
  readonly answers: readonly EntryAnswer[];
  readonly items: readonly Standing[];
}

/** A copy of the studio file. */
export interface Backup {
  /** Epoch ms. */
  readonly at: number;
  readonly bytes: number;
  /** Whether it is encrypted. */
  readonly locked: boolean;
}

/** What is known of the copies of a studio file. */
export interface Backups {
  readonly folder: string;
  readonly count: number;
  readonly latest: Backup | null;
  /** From one to the next; 0 where none is made by itself. */
  readonly hours: number;
  /** Why the last one could not be made. */
  readonly issue: Issue | null;
}

/** What somebody did, for the owner to read; names are those of now, null for whoever is not known or was erased. */
export interface AuditLine {
  readonly id: string;
  readonly at: number;
  readonly kind: Audited;
  readonly by: string | null;
  readonly about: string | null;
}

/** A browser on which somebody is signed in. */
export interface DeviceLine {
  readonly id: string;
  /** What it calls itself. */
  readonly agent: string;
  readonly since: number;
  readonly lastAt: number;
  /** The studio's tablet. */
  readonly onTablet: boolean;
  /** The one that asks. */
  readonly here: boolean;
}

/** How one student gets in, and who else may look. */
export interface WaysIn {
  /** Their private link's path; null as long as there is none. */
  readonly link: string | null;
  /** Their number on the studio's tablets. */
  readonly pin: string;
  readonly devices: readonly DeviceLine[];
  /** Codes that wait, each with its end; what they are was shown once. */
  readonly codes: readonly { readonly id: string; readonly endsAt: number }[];
  readonly readers: readonly Reading[];
  readonly teachers: readonly Named[];
  /** Everybody who teaches in the studio. */
  readonly staff: readonly Named[];
}

type Named = Pick<Person, 'id' | 'name'>;

/** Somebody who may read a student's record. */
export interface Reading {
  readonly id: string;
  readonly name: string;
  readonly path: string;
  readonly endsAt: number | null;
}
