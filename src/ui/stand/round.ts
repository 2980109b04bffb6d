import type { Limb } from '@/core/kit';
import type { Posted, SufferingId, Verdict } from '@/core/log';
import { itemKey, type Day, type EntryId, type RoundSlot, type StandItem } from '@/core/studio';

/** A question with its answers in the order in which a pedal steps through them. The first is what
 * the right pedal takes at once. */
export interface Question<Answer> {
  readonly options: readonly Answer[];
  /** Where the left pedal has stepped to; null when it was not pressed yet. */
  readonly cursor: number | null;
}

/** A try that was just played: the log has it, and how it went is to be said. */
export interface Played {
  /** Of its entry. */
  readonly id: EntryId;
  /** As it was then. */
  readonly item: StandItem;
  readonly rung: string;
  readonly bpm: number;
  readonly bars: number;
  readonly seconds: number;
  /** Before its dosage was over. */
  readonly stopped: boolean;
  /** Seconds that its dosage takes. */
  readonly whole: number;
}

export type StandStage =
  /** `atOnce`: asked for by a touch that plays it. */
  | { readonly kind: 'ready'; readonly atOnce?: boolean }
  /** The places of the round that are played one after the other, and the tries that were played. */
  | {
      readonly kind: 'playing';
      readonly places: readonly number[];
      readonly played: readonly Played[];
    }
  | { readonly kind: 'break' }
  | ({ readonly kind: 'verdict' } & Question<Verdict | null>)
  /** On which beat of the cycle it broke; null is nowhere in particular. */
  | ({ readonly kind: 'broke'; readonly tryId: EntryId } & Question<number | null>)
  | ({ readonly kind: 'suffered'; readonly tryId: EntryId } & Question<SufferingId | null>)
  | ({
      readonly kind: 'limb';
      readonly tryId: EntryId;
      readonly what: SufferingId;
    } & Question<Limb | null>)
  | { readonly kind: 'done' };

/** What was asked about, for the end of the round; null where nothing was said. */
interface Judged {
  readonly tryId: EntryId;
  /** Names the item. */
  readonly key: string;
  readonly verdict: Verdict | null;
  readonly stopped: boolean;
  readonly bpm: number;
}

/** A round at the stand: its slots in order, and the student's items, which they name. */
export interface Stand {
  /** As the server knew them last. */
  readonly known: readonly StandItem[];
  /** Entries that were made here since, in order; tries stay until what was said about them is known there
   * too. */
  readonly made: readonly Posted[];
  /** Those among them that the server knows. */
  readonly counted: ReadonlySet<EntryId>;
  readonly day: Day;
  /** Where they stand now, with what was made here. */
  readonly items: readonly StandItem[];
  readonly slots: readonly RoundSlot[];
  readonly place: number;
  readonly stage: StandStage;
  readonly judged: readonly Judged[];
  /** Tries that are still to be asked about, the first one first. */
  readonly judging: readonly Played[];
  /** The item as it was in the last try that was judged, which the questions are about. */
  readonly played: StandItem | null;
  /** Seconds of playing since the last break. */
  readonly sinceBreak: number;
  /** Seconds that are still to be played before this place of the round counts as played, once a try of it was
   * stopped. */
  readonly toPlay: number;
  /** The limb that suffered last in an item, which its next cue is about. */
  readonly watch: { readonly key: string; readonly limb: Limb } | null;
  /** Goes on only when the rung is over, or when somebody says so. */
  readonly stays: boolean;
  /** What is to be said at the next start. */
  readonly notice: StandNotice | null;
}

/** `short`: stopped before a bar was over, so that nothing is logged. `open`: nobody said how it went. */
export type StandNotice = 'slept' | 'slept-short' | 'resumed' | 'short' | 'open';

/** A question about a try that was open when a page was closed. */
export interface OpenQuestion {
  readonly kind: 'broke' | 'suffered' | 'limb';
  readonly tryId: EntryId;
  /** Names the item. */
  readonly key: string;
  readonly what: SufferingId | null;
}

/** What a round is taken up with again, after its page was closed. */
export interface RoundState {
  readonly slots: readonly RoundSlot[];
  readonly place: number;
  readonly sinceBreak: number;
  readonly judging: readonly (Omit<Played, 'item'> & { readonly key: string })[];
  readonly asking?: OpenQuestion | null;
  readonly stays?: boolean;
  readonly toPlay?: number;
}

export function startStand(
  items: readonly StandItem[],
  slots: readonly RoundSlot[],
  day: Day,
): Stand {
  return {
    known: items,
    made: [],
    counted: new Set(),
    day,
    items,
    slots,
    place: 0,
    stage: { kind: 'ready' },
    judged: [],
    judging: [],
    played: null,
    sinceBreak: 0,
    toPlay: 0,
    watch: null,
    stays: false,
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

export function at(stand: Stand, stage: StandStage): Stand {
  return { ...stand, stage };
}
