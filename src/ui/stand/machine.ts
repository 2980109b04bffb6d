import type { Issue } from '@/core/issue';
import { beatPlaces, SUFFERINGS, type SufferingId, type Verdict } from '@/core/ladder';
import { limbName, LIMBS, type Limb } from '@/core/kit';
import { expand } from '@/core/recipe';
import type {
  BrokeInput,
  EntryId,
  StandItem,
  StoredTry,
  SufferedInput,
  TryInput,
} from '@/core/studio';

/** An entry on its way into the log. */
export type Entry =
  | { readonly kind: 'try'; readonly body: TryInput }
  | { readonly kind: 'broke'; readonly body: BrokeInput }
  | { readonly kind: 'suffered'; readonly body: SufferedInput };

/** A question with its answers in the order in which a pedal steps through them. The first is what
 * the right pedal takes at once. */
export interface Question<Answer> {
  readonly options: readonly Answer[];
  /** Where the left pedal has stepped to; null when it was not pressed yet. */
  readonly cursor: number | null;
}

export type Stage =
  | { readonly kind: 'ready' }
  | { readonly kind: 'playing' }
  | ({
      readonly kind: 'verdict';
      readonly bars: number;
      readonly seconds: number;
    } & Question<Verdict>)
  /** On which beat of the cycle it broke; null is nowhere in particular. */
  | ({ readonly kind: 'broke'; readonly tryId: EntryId } & Question<number | null>)
  | ({ readonly kind: 'suffered'; readonly tryId: EntryId } & Question<SufferingId | null>)
  | ({
      readonly kind: 'limb';
      readonly tryId: EntryId;
      readonly what: SufferingId;
    } & Question<Limb | null>)
  | { readonly kind: 'storing'; readonly entry: Entry }
  | {
      readonly kind: 'unstored';
      readonly entry: Entry;
      /** Null when the server could not be reached. */
      readonly issues: readonly Issue[] | null;
    }
  | { readonly kind: 'done' };

/** What is stored in the log, for the end of the round. */
export interface Stored {
  readonly item: StandItem;
  readonly verdict: Verdict;
  readonly bpm: number;
}

/** A round at the stand: every item once, from the one that was chosen. */
export interface Stand {
  readonly items: readonly StandItem[];
  readonly index: number;
  /** Items that are still to come, this one included. */
  readonly left: number;
  readonly stage: Stage;
  readonly stored: readonly Stored[];
  /** The item as it was in the last try, which the questions are about. */
  readonly played: StandItem | null;
}

export type StandAction =
  | { readonly kind: 'start' | 'stop' | 'skip' | 'retry' | 'drop' | 'again' | 'step' }
  | { readonly kind: 'over'; readonly bars: number; readonly seconds: number }
  | { readonly kind: 'send'; readonly entry: Entry }
  | { readonly kind: 'stored'; readonly answer: StoredTry | null }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] | null }
  | { readonly kind: 'nowhere' }
  | { readonly kind: 'suffered'; readonly what: SufferingId | null }
  | { readonly kind: 'restore'; readonly entry: Entry };

const VERDICT_OPTIONS: readonly Verdict[] = ['clean', 'shaky', 'lost'];

const SUFFERED_OPTIONS: readonly (SufferingId | null)[] = [
  null,
  ...SUFFERINGS.map((one) => one.id),
];

export function startStand(items: readonly StandItem[], index: number): Stand {
  return { items, index, left: items.length, stage: { kind: 'ready' }, stored: [], played: null };
}

/** What is played now. @throws RangeError on a stand without items (a caller's bug) */
export function itemOf({ items, index }: Stand): StandItem {
  const item = items[index];
  if (!item) throw new RangeError('no item on the stand');
  return item;
}

export function standReducer(stand: Stand, action: StandAction): Stand {
  const { stage } = stand;
  switch (action.kind) {
    case 'start':
      return stage.kind === 'ready' ? at(stand, { kind: 'playing' }) : stand;
    case 'stop':
      return stage.kind === 'playing' ? at(stand, { kind: 'ready' }) : stand;
    case 'skip':
      return stage.kind === 'ready' ? turn(stand, stand.left) : stand;
    case 'over': {
      if (stage.kind !== 'playing') return stand;
      const { bars, seconds } = action;
      return at(stand, { kind: 'verdict', bars, seconds, options: VERDICT_OPTIONS, cursor: null });
    }
    case 'step':
      return 'options' in stage ? at(stand, stepped(stage)) : stand;
    case 'send':
      return at(stand, { kind: 'storing', entry: action.entry });
    case 'restore':
      return at(stand, { kind: 'unstored', entry: action.entry, issues: null });
    case 'retry':
      return stage.kind === 'unstored' ? at(stand, { kind: 'storing', entry: stage.entry }) : stand;
    case 'drop':
      return stage.kind === 'unstored' ? advance(stand) : stand;
    case 'refused':
      return stage.kind === 'storing'
        ? at(stand, { kind: 'unstored', entry: stage.entry, issues: action.issues })
        : stand;
    case 'stored':
      return stage.kind === 'storing' ? afterStoring(stand, stage.entry, action.answer) : stand;
    case 'nowhere':
      return stage.kind === 'broke' ? at(stand, askSuffered(stage.tryId)) : stand;
    case 'suffered': {
      if (stage.kind !== 'suffered') return stand;
      const { tryId } = stage;
      const what = SUFFERINGS.find((one) => one.id === action.what);
      if (!what) return advance(stand);
      if (!what.limb) return stand;
      const options = [null, ...limbsOf(stand.played ?? itemOf(stand))];
      return at(stand, { kind: 'limb', tryId, what: what.id, options, cursor: null });
    }
    case 'again':
      return { ...stand, left: stand.items.length, stage: { kind: 'ready' }, stored: [] };
  }
}

/** Whether an answer to “what suffered” asks which limb before it is stored. */
export function asksLimb(what: SufferingId): boolean {
  return SUFFERINGS.some((one) => one.id === what && one.limb);
}

function at(stand: Stand, stage: Stage): Stand {
  return { ...stand, stage };
}

function stepped<S extends Extract<Stage, Question<unknown>>>(stage: S): S {
  const count = stage.options.length;
  const cursor = stage.cursor === null ? 1 % count : (stage.cursor + 1) % count;
  return { ...stage, cursor };
}

/** What a stored entry changes: where the ladder stands, which what suffered may change once more. The
 * questions are about what was played, whatever comes next. */
function afterStoring(stand: Stand, entry: Entry, answer: StoredTry | null): Stand {
  if (entry.kind === 'try') return answer ? afterTry(stand, entry.body, answer) : advance(stand);
  const learnt = stand.played && answer ? learn(stand, stand.played, answer) : stand;
  return entry.kind === 'broke' ? at(learnt, askSuffered(entry.body.tryId)) : advance(learnt);
}

function afterTry(stand: Stand, body: TryInput, answer: StoredTry): Stand {
  const index = stand.items.findIndex(
    (item) => item.item.id === body.itemId && item.assignmentId === body.assignmentId,
  );
  const played = stand.items[index];
  if (!played) return advance(stand);
  const today = { tries: played.today.tries + 1, seconds: played.today.seconds + body.seconds };
  const next = learn({ ...stand, index, played }, { ...played, today }, answer);
  const item = itemOf(next);
  const stored = [...stand.stored, { item, verdict: body.verdict, bpm: body.bpm }];
  if (body.verdict === 'clean') return advance({ ...next, stored });
  const places = beatsOf(played);
  if (places.length < 2 || places.length > MOST_BEATS) {
    return at({ ...next, stored }, askSuffered(body.id));
  }
  const options = [null, ...places.map((_, beat) => beat)];
  return at({ ...next, stored }, { kind: 'broke', tryId: body.id, options, cursor: null });
}

/** An item that knows where its ladder stands by now. */
function learn(stand: Stand, of: StandItem, answer: StoredTry): Stand {
  const items = stand.items.map((item) =>
    item.item.id === of.item.id && item.assignmentId === of.assignmentId
      ? { ...item, ...answer, today: of === stand.played ? item.today : of.today }
      : item,
  );
  return { ...stand, items };
}

/** More beats than this cannot be told apart with a stick in the hand. */
const MOST_BEATS = 16;

function askSuffered(tryId: EntryId): Stage {
  return { kind: 'suffered', tryId, options: SUFFERED_OPTIONS, cursor: null };
}

/** The felt beats of what an item plays; empty where it cannot be played. */
export function beatsOf({ plays }: Pick<StandItem, 'plays'>): readonly { at: number }[] {
  const exercise = expand(plays);
  return exercise.ok ? beatPlaces(exercise.value) : [];
}

/** The next item is ready; after the last of the round, the round is done. A start that is looked for
 * is found before anything else. */
function advance(stand: Stand): Stand {
  if (itemOf(stand).state.climbing) return at(stand, { kind: 'ready' });
  const left = stand.left - 1;
  return left > 0 ? turn(stand, left) : { ...stand, left: 0, stage: { kind: 'done' } };
}

function turn(stand: Stand, left: number): Stand {
  const index = (stand.index + 1) % Math.max(1, stand.items.length);
  return { ...stand, index, left, stage: { kind: 'ready' } };
}

/** The limbs that play in an item. */
function limbsOf({ plays }: StandItem): readonly Limb[] {
  const exercise = expand(plays);
  if (!exercise.ok) return [];
  return LIMBS.filter((limb) => exercise.value.strokes.some((stroke) => stroke.limb === limb));
}

export function limbText(limb: Limb | null): string {
  return limb === null ? 'not sure which' : limbName(limb);
}
