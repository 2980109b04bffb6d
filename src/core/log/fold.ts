import type { Day } from '../calendar';
import type { EntryId, ItemId } from '../id';
import type { Logged } from './entry';
import type { Author, Body, EntryKind } from './kinds';
import type { Verdict } from './verdict';

/** What went wrong in a try, and in which limb. */
export type Suffered = Body<'suffered'>;

/** One try, with what was added to it. */
export interface Try
  extends
    Pick<Logged<'try'>, 'kind' | 'day'>,
    Pick<Body<'try'>, 'bpm' | 'rung' | 'verdict' | 'stopped'> {
  readonly id: string;
  readonly suffered: readonly Suffered[];
  /** Felt beats of the cycle on which it broke, from 0. */
  readonly broke: readonly number[];
}

/** A try that says how it went. */
export type JudgedTry = Try & { readonly verdict: Verdict };

/** A decision that was not taken back. */
export interface Decided extends Pick<Logged<'decided'>, 'kind' | 'day'> {
  readonly id: string;
  readonly decision: Body<'decided'>;
}

/** What moves a ladder. */
export type LadderEvent = Try | Decided;

/** A try as the log has it. */
export interface LoggedTry extends Try, Pick<Body<'try'>, 'bars' | 'seconds'> {
  readonly id: EntryId;
  readonly itemId: ItemId;
  readonly at: number;
  readonly seq: number;
  readonly stopped: boolean;
  /** Typed in from a sheet of paper. */
  readonly paper: boolean;
  /** Who said how it went; null while nobody has. */
  readonly judgedBy: Author | null;
  /** What the student wrote about it. */
  readonly remark: string;
}

export interface LoggedDecision extends Decided {
  readonly id: EntryId;
  readonly itemId: ItemId;
  readonly at: number;
  readonly seq: number;
  readonly takenBack: boolean;
}

/** What the teacher has the student watch for; empty takes it away. */
interface LoggedCue extends Pick<Logged<'cue'>, 'kind' | 'day' | 'id' | 'at' | 'seq'> {
  readonly itemId: ItemId;
  readonly text: string;
}

/** What stands in an item's log. */
export type ItemEvent = LoggedTry | LoggedDecision | LoggedCue;

/** What an entry about a try adds to it. */
type Adds = {
  readonly [Kind in EntryKind]?: (to: LoggedTry, body: Body<Kind>, by: Author) => LoggedTry;
};

const ADDS: Adds = {
  judged: (to, { verdict }, by) => ({ ...to, verdict, judgedBy: verdict && by }),
  suffered: (to, body) => ({ ...to, suffered: [...to.suffered, body] }),
  broke: (to, { beat }) => ({ ...to, broke: [...to.broke, beat] }),
  remark: (to, { text }) => ({ ...to, remark: text }),
};

/** @returns the try with what the entry says about it; itself where it says nothing */
export function addTo(to: LoggedTry, entry: Pick<Logged, 'kind' | 'body' | 'by'>): LoggedTry {
  const adds = ADDS[entry.kind] as
    | ((to: LoggedTry, body: unknown, by: Author) => LoggedTry)
    | undefined;
  return adds ? adds(to, entry.body, entry.by) : to;
}

/** Of a try of which only the verdict is known. */
const NOTHING_SAID = { suffered: [], broke: [], remark: '' } as const;

/** What an entry puts into its item's log by itself; null where it only adds to another. */
export function eventOf(entry: Logged): ItemEvent | null {
  const { id, itemId, at, day, seq } = entry;
  if (itemId === null) return null;
  switch (entry.kind) {
    case 'try': {
      const { bpm, rung, verdict, bars, seconds, stopped = false, paper = false } = entry.body;
      const judgedBy = verdict && entry.by;
      const played = { bpm, rung, verdict, bars, seconds, stopped, paper, judgedBy };
      return { kind: 'try', id, itemId, at, day, seq, ...played, ...NOTHING_SAID };
    }
    case 'decided': {
      const decision = entry.body;
      return { kind: 'decided', id, itemId, at, day, seq, decision, takenBack: false };
    }
    case 'cue':
      return { kind: 'cue', id, itemId, at, day, seq, text: entry.body.text };
    default:
      return null;
  }
}

/** Entries of the log in the order that counts: by day, within a day as they were stored, so that a clock
 * that is put back mixes nothing up. */
export function inOrder(
  a: { readonly day: Day; readonly seq: number },
  b: { readonly day: Day; readonly seq: number },
): number {
  return a.day === b.day ? a.seq - b.seq : a.day < b.day ? -1 : 1;
}

/** The entries that are taken back: those that an entry takes back which is not taken back itself.
 * @param entries those of kind `taken-back` */
export function takenBackIds(
  entries: readonly Pick<Logged, 'id' | 'about'>[],
): ReadonlySet<EntryId> {
  const by = new Map<EntryId, EntryId[]>();
  for (const { id, about } of entries) {
    if (about !== null) by.set(about, [...(by.get(about) ?? []), id]);
  }
  const isBack = (id: EntryId): boolean => (by.get(id) ?? []).some((one) => !isBack(one));
  return new Set([...by.keys()].filter(isBack));
}

/** An item's log as it stands after all its entries, in the order that counts: tries that were taken back are not in it.
 * @param entries in any order; an entry that comes twice (the same id) counts once */
export function foldItem(entries: readonly Logged[]): readonly ItemEvent[] {
  const events: ItemEvent[] = [];
  const seen = new Set<EntryId>();
  const about: Logged[] = [];
  for (const entry of entries) {
    if (seen.has(entry.id)) continue;
    seen.add(entry.id);
    const event = eventOf(entry);
    if (event) events.push(event);
    else if (entry.about !== null) about.push(entry);
  }
  const standing = about.length > 0 ? withAll(events, about) : events;
  return standing.sort(inOrder);
}

/** With what entries say about others, and without the tries that they take back. */
function withAll(events: ItemEvent[], about: readonly Logged[]): ItemEvent[] {
  const places = new Map(about.map((one) => [one.about, -1]));
  events.forEach(({ id }, index) => places.has(id) && places.set(id, index));
  for (const entry of about) {
    const index = places.get(entry.about) ?? -1;
    const to = events[index];
    if (to?.kind === 'try') events[index] = addTo(to, entry);
  }
  const away = takenBackIds(about.filter((one) => one.kind === 'taken-back'));
  for (const id of away) {
    const index = places.get(id) ?? -1;
    const to = events[index];
    if (to?.kind === 'decided') events[index] = { ...to, takenBack: true };
  }
  return away.size > 0 ? events.filter(({ kind, id }) => kind !== 'try' || !away.has(id)) : events;
}
