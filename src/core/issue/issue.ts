/** Where in the input an issue lies: field names and indexes, outermost first. */
export type Path = readonly (string | number)[];

type Issued<Code extends string, Facts = unknown> = {
  readonly code: Code;
  readonly path: Path;
} & Readonly<Facts>;

/** What reads the line, or that a sticking needs no reading. */
type ReadBy =
  | 'verbatim'
  | 'short-long'
  | 'phrase-cells'
  | 'accent-grid'
  | 'line-fill'
  | 'rules'
  | 'sticking';

/** An axis of a family; `nth` from 1 where there are several of its kind. */
export interface AxisName {
  readonly at: 'over' | 'play' | 'as' | 'change' | 'clash' | 'meter' | 'levels' | 'feel' | 'kit';
  readonly nth: number | null;
}

/** What keeps the studio's file from being read or written. */
export type StorageTrouble =
  | 'busy'
  | 'full'
  | 'readOnly'
  | 'damaged'
  /** Found while it is used, and goes on being used. */
  | 'faulty'
  | 'missing'
  | 'unreadable';

/** Everything a person or a file can get wrong. Facts only; the words are made elsewhere. */
export type Issue =
  | Issued<'line-empty'>
  | Issued<'only-rests', { what: 'line' | 'sticking' }>
  | Issued<'line-token', { bar: number; token: string; at: number }>
  | Issued<'line-tie', { bar: number; token: string; at: number }>
  | Issued<'loop-part', { text: string; bars: number }>
  | Issued<'line-tuplet', { bar: number; token: string; at: number }>
  /** `rest` is one that would fill a bar that is short, as it is typed. */
  | Issued<
      'bar-length',
      { bar: number; meter: string; gotTicks: number; wantedTicks: number; rest: string }
    >
  | Issued<'grid-token', { token: string; at: number }>
  | Issued<'part-who', { text: string }>
  | Issued<'part-empty'>
  | Issued<'count-token', { token: string; beats: number }>
  | Issued<'sticking-token', { token: string; at: number }>
  /** A bar line that stands where no bar ends; slots of the grid that holds there. */
  | Issued<'sticking-bar', { bar: number; grid: SubdivisionId; got: number; wanted: number }>
  | Issued<'count-bars', { got: number; wanted: number }>
  | Issued<'count-bar', { bar: number; bars: number }>
  | Issued<'line-letters', { letter: string | null; got: number; wanted: number }>
  | Issued<'ending-length', { bars: number; ending: string; wanted: number }>
  | Issued<'cell-length', { gap: number; sticking: string }>
  | Issued<'meter', { text: string }>
  | Issued<'grouping', { text: string; count: number }>
  | Issued<'feel', { text: string }>
  | Issued<'subdivision', { text: string }>
  | Issued<'voice', { text: string; near: string | null }>
  | Issued<'limb', { text: string }>
  | Issued<'tempo', { text: string; least: number; most: number }>
  | Issued<'onset-off-grid', InBar & { grid: SubdivisionId }>
  | Issued<'gap-off-grid', InBar & { slot: number }>
  | Issued<'gap-without-cell', InBar & { slot: number; gap: number; proposals: readonly string[] }>
  | Issued<'rule-none', InBar & { length: number; gap: number; onBeat: boolean }>
  | Issued<'rules-contradict', { first: number; second: number }>
  | Issued<'rule-range', { row: number; from: number; to: number }>
  | Issued<'limb-claimed', { limbs: readonly Limb[]; by: ReadBy; over: readonly string[] }>
  | Issued<'cycle-too-long', { bars: number; most: number }>
  | Issued<'bars', { text: string }>
  | Issued<'member-meter', { name: string; meter: string; wanted: string }>
  | Issued<'member-feel', { name: string; feel: string; wanted: string }>
  | Issued<'sequence-too-long', { bars: number; most: number }>
  | Issued<'recipe-newer', { version: number; known: number }>
  | Issued<'recipe-shape', { misfits: readonly Misfit[] }>
  | Issued<'ingredient-missing', { id: string; version: number }>
  | Issued<'link-altered'>
  | Issued<'family-too-large', { size: number; most: number; axis: AxisName; values: number }>
  | Issued<'axis-empty', { axis: AxisName }>
  | Issued<'family-empty'>
  | Issued<'members-too-many', { count: number; most: number }>
  | Issued<'ladder-step-zero'>
  | Issued<'ladder-step-away', { start: number; target: number; step: number }>
  | Issued<'ladder-number', { text: string; least: number; most: number }>
  | Issued<'ladder-empty'>
  | Issued<'ladder-long', { rungs: number; most: number }>
  | Issued<'dosage', { text: string; most: number }>
  | Issued<'rule', { what: 'clean' | 'of' | 'lost' | 'plateau'; text: string }>
  | Issued<'item-twice'>
  | Issued<'after-missing', { name: string }>
  /** `backup` is the latest that is whole. */
  | Issued<'storage', { trouble: StorageTrouble; file: string; backup: string | null }>
  | Issued<'file-nodes', { most: number }>
  /** In MB. */
  | Issued<'body-large', { most: number }>
  | Issued<'host-unknown', { host: string }>
  | Issued<'file-large', { most: number }>
  | Issued<'file-heavy', { what: 'seconds' | 'megabytes'; most: number }>
  | Issued<'file-unreadable', { line: number }>
  | Issued<'file-other'>
  | Issued<'file-encoding', { encoding: string }>
  | Issued<'file-packed'>
  | Issued<'file-entities'>
  | Issued<'file-deep'>
  /** Counted from 1; 0 for the head of the file. */
  | Issued<'file-midi', { track: number }>
  | Issued<'file-frames'>
  | Issued<'file-silent'>
  | Issued<'csv-quotes', { line: number }>
  | Issued<'csv-columns', { missing: readonly string[]; found: readonly string[] }>
  | Issued<'csv-rows', { most: number }>
  /** `may`: what can stand there, where that is a few words. */
  /** `like`: how it is to be written. */
  | Issued<'csv-form', { line: number; column: string; text: string; like: string }>
  | Issued<'csv-cell', { line: number; column: string; text: string; may: readonly string[] }>
  | Issued<'address', { text: string }>
  | Issued<'backup-damaged'>
  | Issued<'backup-locked'>
  | Issued<'backup-newer'>
  | Issued<'file-long', { bars: number; notes: number }>
  | Issued<'bundle-newer', { version: number; known: number }>
  /** `most`: million characters. */
  | Issued<'bundle-large', { most: number }>
  | Issued<
      'bundle-part',
      {
        part: 'materials' | 'exercises' | 'families' | 'programs' | 'students' | 'file';
        name: string;
        misfits: readonly Misfit[];
      }
    >
  | Issued<'nobody-has-it', { name: string }>
  | Issued<'after-circle', { names: readonly string[] }>
  | Issued<'program-changed'>
  | Issued<'not-asked'>
  | Issued<'note-empty'>
  | Issued<'tick', { text: string; day: string }>
  | Issued<'day-ahead', { day: string }>
  | Issued<'day-past', { day: string }>
  | Issued<'week-empty'>
  | Issued<'off-order', { from: string; to: string }>
  | Issued<'off-overlap', { one: Dates; other: Dates }>
  | Issued<'target-past', { target: string; today: string }>
  | Issued<'quiet-empty', { at: string }>
  | Issued<'email', { text: string }>
  | Issued<'teaches-here', { email: string }>
  | Issued<'sign-in-wrong'>
  | Issued<'code-wrong', { days: number }>
  | Issued<'pin-wrong'>
  | Issued<'setup-code'>
  | Issued<'link-over'>
  | Issued<'too-many-tries', { minutes: number }>
  | Issued<'password-length', { least: number; most: number }>
  | Issued<'password-common'>
  | Issued<'last-teacher', { student: string }>
  /** `name` is what was wanted. */
  | Issued<'name-differs', { name: string }>
  | Issued<'name-missing', { what: Thing }>
  | Issued<'nothing-to-play'>
  | Issued<'not-yours', { what: Thing }>
  | Issued<'not-found', { what: Thing }>
  | Issued<'entry-shape', { misfits: readonly Misfit[] }>
  | Issued<'input-shape', { misfits: readonly Misfit[] }>
  | Issued<'program-empty', { name: string }>
  | Issued<'already-given', { program: string; student: string }>;

/** A place in a bar. @param at ticks from the start of the bar  @param meter as `4/4` */
interface InBar {
  readonly bar: number;
  readonly at: number;
  readonly meter: string;
}

type Limb = 'RH' | 'LH' | 'RF' | 'LF';

type SubdivisionId = '4t' | '4' | '8' | '8t' | '16' | '16t' | '5' | '7' | '32' | '9' | '12';

/** What a name, or a right, is about. */
export type Thing =
  | 'assignment'
  | 'cells'
  | 'entry'
  | 'exercise'
  | 'family'
  | 'interpretation'
  | 'item'
  | 'kit'
  | 'line'
  | 'link'
  | 'material'
  | 'ostinato'
  | 'page'
  | 'person'
  | 'program'
  | 'record'
  | 'rules'
  | 'session'
  | 'sticking'
  | 'student'
  | 'studio'
  | 'tablet'
  | 'teacher'
  | 'version';

/** What of a value does not fit its shape. @param at field names, outermost first; empty is the whole */
export interface Misfit {
  readonly at: string;
  readonly problem: 'kind' | 'long' | 'short' | 'format' | 'unknown' | 'choice' | 'other';
}

interface Dates {
  readonly from: string;
  readonly to: string;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly Issue[] };

export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function fail(...issues: readonly Issue[]): { ok: false; issues: readonly Issue[] } {
  return { ok: false, issues };
}

/** Whether something is a result that failed. */
export function isRefusal(value: unknown): boolean {
  return typeof value === 'object' && value !== null && 'ok' in value && value.ok === false;
}

/** The value of a result that cannot fail here; a failure is a bug and throws. */
export function must<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(`Expected a value: ${JSON.stringify(result.issues)}`);
}

/** For the last branch of a switch over a union: the compiler refuses a forgotten case. */
export function unreachable(value: never): never {
  throw new Error(`Unexpected ${JSON.stringify(value)}`);
}
