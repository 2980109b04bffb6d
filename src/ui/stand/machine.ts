import { SUFFERINGS, type Posted, type SufferingId, type Verdict } from '@/core/log';
import { beatPlaces } from '@/core/ladder';
import { isHand, LIMBS, type Limb } from '@/core/kit';
import { expand } from '@/core/recipe';
import { BREAK_AFTER } from '@/core/plan';
import {
  afterEntries,
  itemKey,
  type Day,
  type EntryId,
  type RoundSlot,
  type StandItem,
} from '@/core/studio';
import type { Learnt } from '../log';

/** A question with its answers in the order in which a pedal steps through them. The first is what
 * the right pedal takes at once. */
export interface Question<Answer> {
  readonly options: readonly Answer[];
  /** Where the left pedal has stepped to; null when it was not pressed yet. */
  readonly cursor: number | null;
}

/** A try that was played to its end, and is to be judged. */
export interface Played {
  /** Of the entry that it becomes, so that it is stored once, however often it is judged. */
  readonly id: EntryId;
  /** As it was then. */
  readonly item: StandItem;
  readonly rung: string;
  readonly bpm: number;
  readonly bars: number;
  readonly seconds: number;
}

export type StandStage =
  | { readonly kind: 'ready' }
  /** The places of the round that are played one after the other, and what was played to its end. */
  | {
      readonly kind: 'playing';
      readonly places: readonly number[];
      readonly played: readonly Played[];
    }
  | { readonly kind: 'break' }
  | ({ readonly kind: 'verdict' } & Question<Verdict>)
  /** On which beat of the cycle it broke; null is nowhere in particular. */
  | ({ readonly kind: 'broke'; readonly tryId: EntryId } & Question<number | null>)
  | ({ readonly kind: 'suffered'; readonly tryId: EntryId } & Question<SufferingId | null>)
  | ({
      readonly kind: 'limb';
      readonly tryId: EntryId;
      readonly what: SufferingId;
    } & Question<Limb | null>)
  | { readonly kind: 'done' };

/** What was judged, for the end of the round. */
interface Judged {
  readonly tryId: EntryId;
  /** Names the item. */
  readonly key: string;
  readonly verdict: Verdict;
  readonly bpm: number;
}

/** A round at the stand: its slots in order, and the student's items, which they name. */
export interface Stand {
  /** As the server knew them last. */
  readonly known: readonly StandItem[];
  /** Entries that were made here since, in order. */
  readonly made: readonly Posted[];
  readonly day: Day;
  /** Where they stand now, with what was made here. */
  readonly items: readonly StandItem[];
  readonly slots: readonly RoundSlot[];
  readonly place: number;
  readonly stage: StandStage;
  readonly judged: readonly Judged[];
  /** Tries that are over and not judged yet, the first one first. */
  readonly judging: readonly Played[];
  /** The item as it was in the last try that was judged, which the questions are about. */
  readonly played: StandItem | null;
  /** Seconds of playing since the last break. */
  readonly sinceBreak: number;
  /** The limb that suffered last in an item, which its next cue is about. */
  readonly watch: { readonly key: string; readonly limb: Limb } | null;
  /** What is to be said at the next start. */
  readonly notice: 'slept' | 'resumed' | null;
}

/** What a round is taken up with again, after its page was closed. */
export interface RoundState {
  readonly slots: readonly RoundSlot[];
  readonly place: number;
  readonly sinceBreak: number;
  readonly judging: readonly (Omit<Played, 'item'> & { readonly key: string })[];
}

export type StandAction =
  | { readonly kind: 'skip' | 'step' | 'nowhere' }
  | { readonly kind: 'start'; readonly places: readonly number[] }
  /** One try is played to its end. */
  | { readonly kind: 'part'; readonly played: Played }
  /** Playing has ended. */
  | { readonly kind: 'over'; readonly slept?: boolean }
  /** An entry is made; the ladder moves with it at once. */
  | { readonly kind: 'log'; readonly entry: Posted }
  /** Entries of an earlier page that are not stored yet. */
  | { readonly kind: 'waiting'; readonly entries: readonly Posted[] }
  /** What became of entries, and where the server says that items stand. */
  | ({ readonly kind: 'learnt' } & Learnt)
  | { readonly kind: 'suffered'; readonly what: SufferingId | null }
  | { readonly kind: 'resume'; readonly kept: RoundState }
  | {
      readonly kind: 'again';
      readonly items: readonly StandItem[];
      readonly slots: readonly RoundSlot[];
    };

const VERDICT_OPTIONS: readonly Verdict[] = ['clean', 'shaky', 'lost'];

const SUFFERED_OPTIONS: readonly (SufferingId | null)[] = [
  null,
  ...SUFFERINGS.map((one) => one.id),
];

export function startStand(
  items: readonly StandItem[],
  slots: readonly RoundSlot[],
  day: Day,
): Stand {
  return {
    known: items,
    made: [],
    day,
    items,
    slots,
    place: 0,
    stage: { kind: 'ready' },
    judged: [],
    judging: [],
    played: null,
    sinceBreak: 0,
    watch: null,
    notice: null,
  };
}

/** What stands in a place of the round; null for a break. */
export function itemAt({ items, slots }: Stand, place: number): StandItem | null {
  const key = slots[place]?.key;
  return items.find((item) => itemKey(item) === key) ?? null;
}

/** What is played now, or was last. @throws RangeError on a stand without items (a caller's bug) */
export function itemOf(stand: Stand): StandItem {
  for (let place = Math.min(stand.place, stand.slots.length - 1); place >= 0; place -= 1) {
    const item = itemAt(stand, place);
    if (item) return item;
  }
  const [first] = stand.items;
  if (!first) throw new RangeError('no item on the stand');
  return first;
}

export function standReducer(stand: Stand, action: StandAction): Stand {
  const { stage } = stand;
  switch (action.kind) {
    case 'start':
      return stage.kind === 'ready'
        ? { ...at(stand, { kind: 'playing', places: action.places, played: [] }), notice: null }
        : stand;
    case 'skip':
      if (stage.kind === 'break') return next({ ...stand, sinceBreak: 0 });
      return stage.kind === 'ready' ? next(stand) : stand;
    case 'part':
      return stage.kind === 'playing' ? withPlayed(stand, stage, action.played) : stand;
    case 'over':
      return stage.kind === 'playing'
        ? afterPlaying(stand, stage.places, stage.played, action.slept ?? false)
        : stand;
    case 'step':
      return 'options' in stage ? at(stand, stepped(stage)) : stand;
    case 'log':
      return afterEntry(stand, action.entry);
    case 'waiting':
      return withMade(stand, stand.known, [...action.entries, ...stand.made]);
    case 'learnt':
      return learn(stand, action);
    case 'nowhere':
      return stage.kind === 'broke' ? at(stand, askSuffered(stage.tryId)) : stand;
    case 'suffered': {
      if (stage.kind !== 'suffered') return stand;
      const { tryId } = stage;
      const what = SUFFERINGS.find((one) => one.id === action.what);
      if (!what) return advance(stand);
      if (!what.limb) return stand;
      const limbs = limbsOf(stand.played ?? itemOf(stand));
      const options = [null, ...(what.limb === 'hands' ? limbs.filter(isHand) : limbs)];
      return at(stand, { kind: 'limb', tryId, what: what.id, options, cursor: null });
    }
    case 'resume':
      return resume(stand, action.kept);
    case 'again':
      return settle({
        ...withMade(startStand(action.items, action.slots, stand.day), action.items, stand.made),
        sinceBreak: stand.sinceBreak,
      });
  }
}

/** What was played to its end is judged; the round goes on after it. */
function afterPlaying(
  stand: Stand,
  places: readonly number[],
  played: readonly Played[],
  slept: boolean,
): Stand {
  const notice = slept ? ('slept' as const) : null;
  const last = places[played.length - 1];
  if (last === undefined) return { ...at(stand, { kind: 'ready' }), notice };
  return askVerdict({ ...stand, place: last, judging: played, notice });
}

function withPlayed(
  stand: Stand,
  stage: Extract<StandStage, { kind: 'playing' }>,
  played: Played,
): Stand {
  const sinceBreak = stand.sinceBreak + played.seconds;
  return { ...stand, sinceBreak, stage: { ...stage, played: [...stage.played, played] } };
}

function askVerdict(stand: Stand): Stand {
  return at(stand, { kind: 'verdict', options: VERDICT_OPTIONS, cursor: null });
}

/** Takes a round up again; what is not on the stand any more is left out. */
function resume(stand: Stand, { slots, place, sinceBreak, judging }: RoundState): Stand {
  const made = new Set(stand.made.map(({ id }) => id));
  const itemOfKey = (key: string | null) => stand.items.find((item) => itemKey(item) === key);
  const left = slots.flatMap((slot, index) =>
    slot.key === null || itemOfKey(slot.key) ? [{ slot, index }] : [],
  );
  const from = left.findIndex(({ index }) => index >= place);
  const open = judging.flatMap(({ key, ...played }): readonly Played[] => {
    const item = itemOfKey(key);
    return item && !made.has(played.id) ? [{ ...played, item }] : [];
  });
  const resumed: Stand = {
    ...stand,
    slots: left.map(({ slot }) => slot),
    place: from < 0 ? left.length : from,
    sinceBreak,
    judging: open,
    notice: 'resumed',
  };
  return open.length > 0 ? askVerdict(resumed) : settle(resumed);
}

/** What a round has to be taken up with again, tries that were just played included; null before
 * anything was. */
export function keepOf(stand: Stand): RoundState | null {
  const { slots, sinceBreak, stage } = stand;
  const playing = stage.kind === 'playing' && stage.played.length > 0 ? stage : null;
  const judging = playing?.played ?? stand.judging;
  const place = playing?.places[playing.played.length - 1] ?? stand.place;
  if (place === 0 && judging.length === 0) return null;
  const open = judging.map(({ item, ...played }) => ({ ...played, key: itemKey(item) }));
  return { slots, place, sinceBreak, judging: open };
}

/** Whether an answer to “what suffered” asks which limb before it is stored. */
export function asksLimb(what: SufferingId): boolean {
  return SUFFERINGS.some((one) => one.id === what && one.limb !== false);
}

function at(stand: Stand, stage: StandStage): Stand {
  return { ...stand, stage };
}

function stepped<S extends Extract<StandStage, Question<unknown>>>(stage: S): S {
  const count = stage.options.length;
  const cursor = stage.cursor === null ? 1 % count : (stage.cursor + 1) % count;
  return { ...stage, cursor };
}

/** What an entry changes: where the ladder stands, which what suffered may change once more, and what is
 * asked next. The questions are about what was played, whatever comes next. */
function afterEntry(before: Stand, entry: Posted): Stand {
  const { stage } = before;
  const stand = withMade(before, before.known, [...before.made, entry]);
  switch (entry.kind) {
    case 'try':
      return stage.kind === 'verdict' ? afterTry(stand, entry) : stand;
    case 'broke':
      return stage.kind === 'broke' ? at(stand, askSuffered(entry.about)) : stand;
    case 'suffered': {
      if (stage.kind !== 'suffered' && stage.kind !== 'limb') return stand;
      const { limb } = entry.body;
      const key = stand.played && itemKey(stand.played);
      return advance(key && limb ? { ...stand, watch: { key, limb } } : stand);
    }
    default:
      return stand;
  }
}

function afterTry(before: Stand, { id, assignmentId, itemId, body }: Posted<'try'>): Stand {
  const judging = before.judging.filter((one) => one.id !== id);
  const stand = { ...before, judging };
  const key = itemKey({ assignmentId, item: { id: itemId } });
  const now = stand.items.find((item) => itemKey(item) === key);
  if (!now) return advance(stand);
  const played = before.judging.find((one) => one.id === id)?.item ?? now;
  const { verdict, bpm } = body;
  const judged = [...stand.judged, { tryId: id, key, verdict, bpm }];
  const next = { ...stand, played, judged };
  if (verdict === 'clean') return advance(next);
  const places = beatsOf(played);
  if (places.length < 2 || places.length > MOST_BEATS) return at(next, askSuffered(id));
  const options = [null, ...places.map((_, beat) => beat)];
  return at(next, { kind: 'broke', tryId: id, options, cursor: null });
}

/** Items as the server knows them, moved on by what was made here. */
function withMade(stand: Stand, known: readonly StandItem[], made: readonly Posted[]): Stand {
  const items = known.map((item) => afterEntries(item, made, stand.day));
  return { ...stand, known, made, items };
}

/** What the server says corrects what was worked out here; what it does not have yet still moves on. */
function learn(stand: Stand, { stored, dropped, items }: Learnt): Stand {
  const gone = new Set([...stored, ...dropped]);
  const byKey = new Map(items.map((item) => [itemKey(item), item]));
  const known = stand.known.map((item) => {
    const learnt = byKey.get(itemKey(item));
    return learnt ? { ...item, ...learnt, item: item.item } : item;
  });
  const judged = stand.judged.filter((one) => !dropped.includes(one.tryId));
  const made = stand.made.filter(({ id }) => !gone.has(id));
  return { ...withMade(stand, known, made), judged };
}

/** More beats than this cannot be told apart with a stick in the hand. */
const MOST_BEATS = 16;

function askSuffered(tryId: EntryId): StandStage {
  return { kind: 'suffered', tryId, options: SUFFERED_OPTIONS, cursor: null };
}

/** The felt beats of what an item plays; empty where it cannot be played. */
function beatsOf({ plays }: Pick<StandItem, 'plays'>): readonly { at: number }[] {
  const exercise = expand(plays);
  return exercise.ok ? beatPlaces(exercise.value) : [];
}

/** The next try is judged, or the next one is ready. A start that is looked for is found before anything
 * else. */
function advance(stand: Stand): Stand {
  if (stand.judging.length > 0) return askVerdict(stand);
  if (itemAt(stand, stand.place)?.state.climbing) return at(stand, { kind: 'ready' });
  return next(stand);
}

function next(stand: Stand): Stand {
  return settle({ ...stand, place: stand.place + 1 });
}

/** Ready at the next place that is still to be played: what was passed meanwhile is left out, and after
 * long enough there is a break, planned or not. */
function settle(stand: Stand): Stand {
  let { place } = stand;
  while (place < stand.slots.length && isPassedBy(stand, place)) place += 1;
  const here = { ...stand, place };
  if (place >= stand.slots.length) return at(here, { kind: 'done' });
  const resting = stand.slots[place]?.key === null;
  if (resting && place === stand.slots.length - 1) return at(here, { kind: 'done' });
  if (resting) return at(here, { kind: 'break' });
  if (stand.sinceBreak < BREAK_AFTER) return at(here, { kind: 'ready' });
  const rest: RoundSlot = { key: null, kind: 'break', on: 'kit', cutTo: null };
  const slots = [...stand.slots.slice(0, place), rest, ...stand.slots.slice(place)];
  return at({ ...here, slots }, { kind: 'break' });
}

/** Whether new work of the round was passed in it. */
function isPassedBy(stand: Stand, place: number): boolean {
  return stand.slots[place]?.kind === 'new' && itemAt(stand, place)?.state.passed === true;
}

/** The limbs that play in an item. */
function limbsOf({ plays }: StandItem): readonly Limb[] {
  const exercise = expand(plays);
  if (!exercise.ok) return [];
  return LIMBS.filter((limb) => exercise.value.strokes.some((stroke) => stroke.limb === limb));
}
