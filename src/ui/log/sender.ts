import type { Result } from '@/core/issue';
import type { Posted } from '@/core/log';
import type { BatchAnswer, EntryId, PersonId, Standing } from '@/core/studio';
import { keepWaiting, readWaiting } from './kept-queue';
import {
  afterAnswers,
  afterFailure,
  afterRefusal,
  batchOf,
  EMPTY_QUEUE,
  leftOut,
  pauseMs,
  retried,
  withEntries,
  type Queue,
} from './queue';

/** What came of sending: entries that are in the log now, or were left out, and where items stand. */
export interface Learnt {
  readonly stored: readonly EntryId[];
  readonly dropped: readonly EntryId[];
  readonly items: readonly Standing[];
}

/** Sends what a student's browser has made to the log, in order, until it is there: at once when it can,
 * later when it cannot, also after the page was closed in between. */
export class LogSender {
  #queue: Queue = EMPTY_QUEUE;
  #sending = false;
  #changed = false;
  #timer: ReturnType<typeof setTimeout> | null = null;
  readonly #watchers = new Set<() => void>();
  readonly #learners = new Set<(learnt: Learnt) => void>();

  constructor(private readonly person: PersonId) {}

  /** Takes up what an earlier page left, and goes on sending whenever there is a network. */
  start(): () => void {
    this.#set(this.#now());
    const online = () => this.#sendSoon(0);
    window.addEventListener('online', online);
    online();
    return () => {
      window.removeEventListener('online', online);
      if (this.#timer) clearTimeout(this.#timer);
    };
  }

  readonly snapshot = (): Queue => this.#queue;

  readonly subscribe = (watch: () => void): (() => void) => {
    this.#watchers.add(watch);
    return () => this.#watchers.delete(watch);
  };

  /** @returns what ends it */
  onLearnt(learn: (learnt: Learnt) => void): () => void {
    this.#learners.add(learn);
    return () => this.#learners.delete(learn);
  }

  /** What waits, also before anything was started. */
  entries(): readonly Posted[] {
    return this.#now().waiting.map((one) => one.entry);
  }

  /** Whether anything was stored since this was asked last. */
  takeChange(): boolean {
    const changed = this.#changed;
    this.#changed = false;
    return changed;
  }

  put(...entries: readonly Posted[]): void {
    this.#set(withEntries(this.#now(), entries, Date.now()));
    this.#sendSoon(0);
  }

  retry(): void {
    this.#set(retried(this.#now()));
    this.#sendSoon(0);
  }

  leaveOut(): void {
    const { queue, ids } = leftOut(this.#now());
    this.#set(queue);
    this.#tell({ stored: [], dropped: ids, items: [] });
    this.#sendSoon(0);
  }

  /** With what other pages of this browser have made or sent meanwhile. */
  #now(): Queue {
    return { ...this.#queue, waiting: readWaiting(this.person) ?? this.#queue.waiting };
  }

  #set(queue: Queue): void {
    this.#queue = queue;
    keepWaiting(this.person, queue.waiting);
    for (const watch of this.#watchers) watch();
  }

  #tell(learnt: Learnt): void {
    if (learnt.stored.length > 0) this.#changed = true;
    for (const learn of this.#learners) learn(learnt);
  }

  #sendSoon(ms: number): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), ms);
  }

  async #send(): Promise<void> {
    this.#timer = null;
    const entries = batchOf(this.#now(), Date.now());
    if (this.#sending || entries.length === 0) return;
    this.#sending = true;
    const answer = await post(this.person, entries);
    this.#sending = false;
    if (!answer) this.#set(afterFailure(this.#now()));
    else if (!answer.ok) this.#set(afterRefusal(this.#now(), answer.issues));
    else {
      const { answers, items } = answer.value;
      this.#set(afterAnswers(this.#now(), answers));
      const stored = answers.flatMap(({ id, result }) => (result.ok ? [id] : []));
      this.#tell({ stored, dropped: [], items });
    }
    if (this.#queue.waiting.length > 0) this.#sendSoon(pauseMs(this.#queue));
  }
}

/** Longer than this an answer is not waited for: the network is there, and leads nowhere. */
const LONGEST_ANSWER_MS = 30_000;

/** @returns null where the log was not reached, or had trouble of its own */
async function post(
  student: PersonId,
  entries: readonly Posted[],
): Promise<Result<BatchAnswer> | null> {
  try {
    const response = await fetch('/api/log', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries, student }),
      signal: AbortSignal.timeout(LONGEST_ANSWER_MS),
    });
    if (response.status >= 500) return null;
    return (await response.json()) as Result<BatchAnswer>;
  } catch {
    return null;
  }
}
