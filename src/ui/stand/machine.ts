import type { Issue } from '@/core/issue';
import { SUFFERINGS, type SufferingId, type Verdict } from '@/core/ladder';
import { limbName, LIMBS, type Limb } from '@/core/kit';
import { expand } from '@/core/recipe';
import type { EntryId, StandItem, StoredTry, SufferedInput, TryInput } from '@/core/studio';

/** An entry on its way into the log. */
export type Entry =
  | { readonly kind: 'try'; readonly body: TryInput }
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
}

export type StandAction =
  | { readonly kind: 'start' | 'stop' | 'skip' | 'retry' | 'drop' | 'again' | 'step' }
  | { readonly kind: 'over'; readonly bars: number; readonly seconds: number }
  | { readonly kind: 'send'; readonly entry: Entry }
  | { readonly kind: 'stored'; readonly answer: StoredTry | null }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] | null }
  | { readonly kind: 'suffered'; readonly what: SufferingId | null }
  | { readonly kind: 'restore'; readonly entry: Entry };

const VERDICT_OPTIONS: readonly Verdict[] = ['clean', 'shaky', 'lost'];

const SUFFERED_OPTIONS: readonly (SufferingId | null)[] = [
  null,
  ...SUFFERINGS.map((one) => one.id),
];

export function startStand(items: readonly StandItem[], index: number): Stand {
  return { items, index, left: items.length, stage: { kind: 'ready' }, stored: [] };
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
    case 'suffered': {
      if (stage.kind !== 'suffered') return stand;
      const { tryId } = stage;
      const what = SUFFERINGS.find((one) => one.id === action.what);
      if (!what) return advance(stand);
      if (!what.limb) return stand;
      const options = [null, ...limbsOf(itemOf(stand))];
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

function afterStoring(stand: Stand, entry: Entry, answer: StoredTry | null): Stand {
  if (entry.kind === 'suffered' || !answer) return advance(stand);
  const { body } = entry;
  const items = stand.items.map((item): StandItem =>
    item.item.id === body.itemId && item.assignmentId === body.assignmentId
      ? {
          ...item,
          state: answer.state,
          reason: answer.reason,
          today: { tries: item.today.tries + 1, seconds: item.today.seconds + body.seconds },
        }
      : item,
  );
  const index = items.findIndex(
    (item) => item.item.id === body.itemId && item.assignmentId === body.assignmentId,
  );
  const played = items[index];
  if (!played) return advance({ ...stand, items });
  const stored = [...stand.stored, { item: played, verdict: body.verdict, bpm: body.bpm }];
  const next = { ...stand, items, index, stored };
  if (body.verdict === 'clean') return advance(next);
  const question = { options: SUFFERED_OPTIONS, cursor: null };
  return at(next, { kind: 'suffered', tryId: body.id, ...question });
}

/** The next item is ready; after the last of the round, the round is done. */
function advance(stand: Stand): Stand {
  const left = stand.left - 1;
  return left > 0 ? turn(stand, left) : { ...stand, left: 0, stage: { kind: 'done' } };
}

function turn(stand: Stand, left: number): Stand {
  const index = (stand.index + 1) % Math.max(1, stand.items.length);
  return { ...stand, index, left, stage: { kind: 'ready' } };
}

/** The limbs that play in an item. */
function limbsOf({ item }: StandItem): readonly Limb[] {
  const exercise = expand(item.exercise.recipe);
  if (!exercise.ok) return [];
  return LIMBS.filter((limb) => exercise.value.strokes.some((stroke) => stroke.limb === limb));
}

export function limbText(limb: Limb | null): string {
  return limb === null ? 'not sure which' : limbName(limb);
}
