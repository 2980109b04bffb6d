import type { Issue } from '@/core/issue';
import type { Posted } from '@/core/log';
import type { EntryAnswer, EntryId } from '@/core/studio';

/** An entry that waits to be stored. */
export interface Waiting {
  readonly entry: Posted;
  /** When it was made, by the clock of this browser: that may be wrong, but it runs. */
  readonly madeAt: number;
}

/** What a browser has made and the log does not have yet, in order. */
export interface Queue {
  readonly waiting: readonly Waiting[];
  /** The first entry that the log will never take, and why; nothing is sent until it is left out or
   * tried again. */
  readonly stuck: { readonly id: EntryId; readonly issues: readonly Issue[] } | null;
  /** How often in a row the log was not reached. */
  readonly failures: number;
}

export const EMPTY_QUEUE: Queue = { waiting: [], stuck: null, failures: 0 };

/** Most entries of one batch. */
const MOST_AT_ONCE = 100;

const FIRST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 60_000;

/** Entries at the end of the queue; one that waits already (the same id) stays as it is. */
export function withEntries(queue: Queue, entries: readonly Posted[], madeAt: number): Queue {
  const known = new Set(queue.waiting.map(({ entry }) => entry.id));
  const fresh = entries.filter(({ id }) => !known.has(id));
  if (fresh.length === 0) return queue;
  const waiting = [...queue.waiting, ...fresh.map((entry) => ({ entry, madeAt }))];
  return { ...queue, waiting };
}

/** What is sent next, each with how long ago it was made; empty while the queue is stuck.
 * @param now by the clock of this browser */
export function batchOf({ waiting, stuck }: Queue, now: number): readonly Posted[] {
  if (stuck) return [];
  return waiting
    .slice(0, MOST_AT_ONCE)
    .map(({ entry, madeAt }) => ({ ...entry, agoMs: Math.max(0, now - madeAt) }));
}

/** How long to wait before sending again, longer after each failure. */
export function pauseMs({ failures }: Queue): number {
  if (failures === 0) return 0;
  return Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** (failures - 1));
}

/** After a batch was answered: what is in the log waits no longer, and the first that never will be stops
 * the queue. */
export function afterAnswers(queue: Queue, answers: readonly EntryAnswer[]): Queue {
  const stored = new Set(answers.flatMap(({ id, result }) => (result.ok ? [id] : [])));
  const waiting = queue.waiting.filter(({ entry }) => !stored.has(entry.id));
  const refused = answers.find(({ id, result }) => !result.ok && isWaiting(waiting, id));
  const stuck =
    refused && !refused.result.ok ? { id: refused.id, issues: refused.result.issues } : null;
  return { waiting, stuck, failures: 0 };
}

function isWaiting(waiting: readonly Waiting[], id: EntryId): boolean {
  return waiting.some(({ entry }) => entry.id === id);
}

/** After a batch as a whole was refused: the first of it stops the queue. */
export function afterRefusal(queue: Queue, issues: readonly Issue[]): Queue {
  const [first] = queue.waiting;
  return first ? { ...queue, failures: 0, stuck: { id: first.entry.id, issues } } : queue;
}

/** After the log was not reached. */
export function afterFailure(queue: Queue): Queue {
  return { ...queue, failures: queue.failures + 1 };
}

/** The stuck entry is sent again. */
export function retried(queue: Queue): Queue {
  return { ...queue, stuck: null, failures: 0 };
}

/** Without the stuck entry, and without what is about it.
 * @returns what was left out too, by id */
export function leftOut(queue: Queue): { readonly queue: Queue; readonly ids: readonly EntryId[] } {
  const { stuck, waiting } = queue;
  if (!stuck) return { queue, ids: [] };
  const gone = new Set<EntryId>([stuck.id]);
  for (const { entry } of waiting) {
    if ('about' in entry && gone.has(entry.about)) gone.add(entry.id);
  }
  const kept = waiting.filter(({ entry }) => !gone.has(entry.id));
  return { queue: { waiting: kept, stuck: null, failures: 0 }, ids: [...gone] };
}
