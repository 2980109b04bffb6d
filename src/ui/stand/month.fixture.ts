import { seeded } from '@/core/chance';
import { must } from '@/core/issue';
import type { Posted, Verdict } from '@/core/log';
import type { Day, EntryId, PersonId, Round } from '@/core/studio';
import { appendEntries, appendEntry, getRound, newId, type Student, type Teacher } from '@/server';
import type { TestContext } from '@/server/studio.fixture';
import {
  afterAnswers,
  afterFailure,
  batchOf,
  EMPTY_QUEUE,
  withEntries,
  type Queue,
} from '../log/queue';
import { standReducer, type StandAction } from './machine';
import { planSlot } from './plan-slot';
import { USUAL_SET_UP } from './kept';
import { itemOf, startStand, type Played, type RoundState, type Stand } from './round';
import { keepOf } from './taking-up';
import { tryEntry } from './try-entry';

/** How somebody practises; shares from 0 to 1. */
export interface Habits {
  readonly name: string;
  readonly clean: number;
  /** Of tries that are stopped, before a bar was over or after. */
  readonly stops: number;
  /** Of tries in which the page is closed, playing or asked. */
  readonly closes: number;
  /** Of questions that nobody answers. */
  readonly silent: number;
  /** Of days without a network. */
  readonly offline: number;
}

/** A try as whoever stood beside it would have noted it. */
export interface Noted {
  readonly id: EntryId;
  readonly item: string;
  readonly day: Day;
  readonly rung: string;
  readonly stopped: boolean;
  readonly seconds: number;
  verdict: Verdict | null;
  answers: number;
}

/** A student with a browser, a day at a time. */
export class Practice {
  readonly noted: Noted[] = [];
  #queue: Queue = EMPTY_QUEUE;
  #kept: { readonly day: Day; readonly state: RoundState } | null = null;
  #online = true;
  #stand: Stand;
  readonly #random: () => number;

  constructor(
    private readonly context: TestContext,
    private readonly me: Student,
    private readonly id: PersonId,
    private readonly habits: Habits,
    seed: number,
  ) {
    this.#random = seeded(seed);
    this.#stand = this.#open();
  }

  /** A day at the stand: a few tries, and whatever comes between. */
  day(tries: number): void {
    this.#online = this.#random() >= this.habits.offline;
    this.#stand = this.#open();
    for (let left = tries, turns = 0; left > 0 && turns < 200; turns += 1) {
      const { stage } = this.#stand;
      if (stage.kind === 'done') break;
      if (stage.kind === 'ready') left -= 1;
      this.#turn();
    }
    this.send();
  }

  /** Says later how tries were that nobody judged, also those that were stopped. */
  judgeLater(me: Teacher | Student, verdict: Verdict): void {
    if (this.waiting > 0) return;
    for (const noted of this.noted.filter((one) => one.verdict === null).slice(-2)) {
      const id = newId<'entry'>(this.me);
      const judged = { kind: 'judged', id, agoMs: 0, about: noted.id, body: { verdict } };
      must(appendEntry(me, this.id, judged));
      noted.verdict = verdict;
      noted.answers += 1;
    }
  }

  /** What waits is sent, where there is a network. */
  send(online = this.#online): void {
    if (this.#queue.waiting.length === 0) return;
    if (!online) {
      this.#queue = afterFailure(this.#queue);
      return;
    }
    const { answers, items } = must(
      appendEntries(this.me, this.id, batchOf(this.#queue, this.context.at)),
    );
    this.#queue = afterAnswers(this.#queue, answers);
    const stored = answers.flatMap(({ id, result }) => (result.ok ? [id] : []));
    this.#do({ kind: 'learnt', stored, dropped: [], items });
  }

  get waiting(): number {
    return this.#queue.waiting.length;
  }

  #round(): Round {
    return must(getRound(this.me, this.id));
  }

  /** The page as it opens: what waits to be sent, and what was left. */
  #open(): Stand {
    const { items, slots, day } = this.#round();
    this.#stand = startStand(items, slots, day);
    const entries = this.#queue.waiting.map((one) => one.entry);
    if (entries.length > 0) this.#do({ kind: 'waiting', entries });
    if (this.#kept?.day === day) this.#do({ kind: 'resume', kept: this.#kept.state });
    return this.#stand;
  }

  #do(...actions: readonly StandAction[]): void {
    for (const action of actions) this.#stand = standReducer(this.#stand, action);
    const state = keepOf(this.#stand);
    // What a browser keeps is text.
    if (state) this.#kept = JSON.parse(JSON.stringify({ day: this.#stand.day, state })) as never;
  }

  #log(entry: Posted): void {
    this.#queue = withEntries(this.#queue, [entry], this.context.at);
    this.#do({ kind: 'log', entry });
    if (this.#random() < 0.7) this.send();
  }

  #turn(): void {
    const { stage } = this.#stand;
    if (stage.kind !== 'ready' && this.#random() < this.habits.closes) this.#stand = this.#open();
    switch (this.#stand.stage.kind) {
      case 'ready':
        return this.#play();
      case 'break':
        return this.#do({ kind: 'skip' });
      case 'verdict':
        return this.#judge();
      case 'broke':
        return this.#say('broke', { beat: 1 }, { kind: 'nowhere' });
      case 'suffered':
        return this.#say(
          'suffered',
          { what: 'tense', limb: null },
          { kind: 'suffered', what: null },
        );
      default:
        throw new Error(`nothing to do at ${this.#stand.stage.kind}`);
    }
  }

  #play(): void {
    const item = itemOf(this.#stand);
    const slot = this.#stand.slots[this.#stand.place] ?? { cutTo: null };
    const on = { first: true, tapped: null, seed: 1 };
    const plan = planSlot(item, slot, USUAL_SET_UP, on);
    if (!plan) throw new Error('cannot be played');
    this.#do({ kind: 'start', places: [this.#stand.place] });
    const drawn = this.#random();
    const { stops, closes } = this.habits;
    const share = drawn < stops + closes ? this.#random() ** 2 : 1;
    const bars = share === 1 ? plan.bars : Math.floor(plan.bars * share);
    const seconds = plan.seconds * share;
    this.context.at += 1000 * seconds;
    if (bars >= 1) {
      const id = newId<'entry'>(this.me);
      const { key: rung, bpm } = plan.rung;
      const how = { bars, seconds, stopped: share < 1, whole: plan.seconds };
      const played: Played = { id, item, rung, bpm, ...how };
      const { day } = this.#stand;
      this.noted.push({
        ...{ id, day, rung, seconds, stopped: share < 1, verdict: null, answers: 0 },
        item: item.item.id,
      });
      this.#log(tryEntry(played, null));
      this.#do({ kind: 'part', played });
    }
    this.#do({ kind: 'over' });
    if (drawn >= stops && share < 1) this.#stand = this.#open();
  }

  #judge(): void {
    const [first] = this.#stand.judging;
    const { stage } = this.#stand;
    if (!first || stage.kind !== 'verdict') throw new Error('nothing to judge');
    const drawn = this.#random();
    const wanted: Verdict = drawn < this.habits.clean ? 'clean' : drawn < 0.9 ? 'shaky' : 'lost';
    const verdict = stage.options.includes(wanted) ? wanted : null;
    if (verdict === null || this.#random() < this.habits.silent)
      return this.#do({ kind: 'silent' });
    const noted = this.noted.find((one) => one.id === first.id);
    if (!noted) throw new Error('asked about what was not played');
    noted.verdict = verdict;
    noted.answers += 1;
    const id = newId<'entry'>(this.me);
    this.#log({ kind: 'judged', id, agoMs: 0, about: first.id, body: { verdict } });
  }

  #say<Kind extends 'broke' | 'suffered'>(
    kind: Kind,
    body: Posted<Kind>['body'],
    none: StandAction,
  ): void {
    const { stage } = this.#stand;
    if (!('tryId' in stage) || this.#random() < 0.5) return this.#do(none);
    const noted = this.noted.find((one) => one.id === stage.tryId);
    if (noted) noted.answers += 1;
    const id = newId<'entry'>(this.me);
    this.#log({ kind, id, agoMs: 0, about: stage.tryId, body } as unknown as Posted);
  }
}
