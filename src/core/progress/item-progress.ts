import { CrossingTally } from '../breaks';
import type { Day } from '../calendar';
import type { Limb } from '../kit';
import {
  copyFollowed,
  followEvent,
  isOnRung,
  onTry,
  rungAt,
  startFollowing,
  verdictCounted,
  type Followed,
  type Following,
  type LadderStanding,
} from '../ladder';
import {
  inOrder,
  type ItemEvent,
  type LoggedDecision,
  type LoggedTry,
  type SufferingId,
  type VerdictKey,
} from '../log';
import { climbed, copySeen, nothingSeen, seePace, type Climbed, type PaceSeen } from '../plan';
import type { ClosedRecipe } from '../recipe';
import { bpm, parseMeter, tempoFor, type Meter } from '../time';
import { must } from '../issue';
import { Curve } from './curve';
import { playedOn, type Fitted } from './fitted';

/** What the progress of an item is worked out from, besides its log. */
export interface ItemSource {
  readonly item: string;
  readonly recipe: ClosedRecipe;
  readonly fitted: Fitted;
  readonly following: Following;
}

/** What was played of an item on a date. */
export interface PlayedOn {
  readonly tries: number;
  readonly seconds: number;
  /** Of them what was stopped before its dosage was over. */
  readonly stopped: { readonly tries: number; readonly seconds: number };
}

export const NOTHING_PLAYED: PlayedOn = { tries: 0, seconds: 0, stopped: { tries: 0, seconds: 0 } };

/** The same with one try more. */
export function playedMore(
  { tries, seconds, stopped }: PlayedOn,
  of: Pick<LoggedTry, 'seconds' | 'stopped'>,
): PlayedOn {
  return {
    tries: tries + 1,
    seconds: seconds + of.seconds,
    stopped: of.stopped
      ? { tries: stopped.tries + 1, seconds: stopped.seconds + of.seconds }
      : stopped,
  };
}

/** What was practised of an item on a date. */
export interface ItemDay extends PlayedOn {
  readonly day: Day;
  /** Tries of which nobody has said how they went. */
  readonly open: number;
}

/** How often something suffered, and how often in which limb. */
export interface SufferedCount {
  readonly times: number;
  readonly limbs: Readonly<Partial<Record<Limb, number>>>;
}

/** Everything that an item's log comes to. */
export interface ItemSums {
  readonly followed: LadderStanding;
  readonly pace: PaceSeen;
  /** How far the ladder was, by date. */
  readonly way: readonly Climbed[];
  readonly days: readonly ItemDay[];
  readonly crossings: CrossingTally;
  readonly curve: Curve;
  readonly mix: Readonly<Record<VerdictKey, number>>;
  readonly suffered: ReadonlyMap<SufferingId, SufferedCount>;
  /** All tries. */
  readonly count: number;
  /** The last tries, oldest first. */
  readonly latest: readonly LoggedTry[];
  readonly decisions: readonly LoggedDecision[];
  /** What the teacher has the student watch for besides the program's cues; empty for nothing. */
  readonly cue: string;
  /** What was played last; null before the first try, and where it cannot be played. */
  readonly played: Fitted['exercise'];
}

type Sums = { -readonly [Key in Exclude<keyof ItemSums, 'days' | 'followed'>]: ItemSums[Key] } & {
  way: Climbed[];
  days: ItemDay[];
  mix: Record<VerdictKey, number>;
  suffered: Map<SufferingId, SufferedCount>;
  followed: Followed;
  latest: LoggedTry[];
  decisions: LoggedDecision[];
};

/** Tries that are kept as they are. */
const LATEST = 20;

/** Entries that may still change without all being worked out anew: what is said about a try comes soon
 * after it. */
const TAIL = 16;

/** The progress of one student in one item, kept up entry by entry. It remembers where it stood some
 * entries ago, so that a word about a recent try costs little; what lies further back asks for working
 * out all of it anew. */
export class ItemProgress {
  readonly #source: ItemSource;
  readonly #meter: Meter;
  #base: Sums;
  #tail: ItemEvent[] = [];
  #now: Sums;

  /** @param events of the item's whole log, in order */
  constructor(source: ItemSource, events: readonly ItemEvent[] = []) {
    this.#source = source;
    this.#meter = must(parseMeter(source.recipe.meter));
    this.#now = startSums(source);
    const settled = Math.max(0, events.length - TAIL);
    for (const event of events.slice(0, settled)) this.#step(this.#now, event);
    this.#base = copyOf(this.#now);
    for (const event of events.slice(settled)) this.add(event);
  }

  get sums(): ItemSums {
    return this.#now;
  }

  /** Takes the next entry. @returns false where it lies before one that is there already */
  add(event: ItemEvent): boolean {
    const last = this.#tail.at(-1);
    if (last && inOrder(last, event) > 0) return false;
    this.#tail.push(event);
    this.#step(this.#now, event);
    if (this.#tail.length === 2 * TAIL) {
      for (const settled of this.#tail.splice(0, TAIL)) this.#step(this.#base, settled);
    }
    return true;
  }

  /** Changes a recent try. @returns false where it lies further back, or is not there */
  change(id: LoggedTry['id'], change: (to: LoggedTry) => LoggedTry): boolean {
    const index = this.#tail.findIndex((one) => one.id === id);
    const event = this.#tail[index];
    if (event?.kind !== 'try') return false;
    this.#tail[index] = change(event);
    this.#now = copyOf(this.#base);
    for (const one of this.#tail) this.#step(this.#now, one);
    return true;
  }

  #step(sums: Sums, event: ItemEvent): void {
    if (event.kind === 'cue') {
      sums.cue = event.text;
      return;
    }
    if (event.kind === 'decided') {
      sums.decisions.push(event);
      if (event.takenBack) return;
      followEvent(sums.followed, event, this.#source.following);
      climbed(sums.way, null, sums.followed.state);
      return;
    }
    const { fitted, item, following } = this.#source;
    const before = onTry(sums.followed.state, following.course, event);
    const verdict = verdictCounted(event, following.course.rule);
    // At another tempo than the rung's it says nothing about new ground.
    const isNew = !before.passed && before.rung >= before.best;
    const about = isNew && !isOnRung(before, event) ? null : verdict;
    seePace(sums.pace, { verdict: about, seconds: event.seconds }, before);
    const played = playedOn(fitted, rungAt(before.rungs, before.rung), before.variation);
    if (played) {
      sums.played = played;
      const { broke } = event;
      const tempo = tempoFor(this.#meter, bpm(event.bpm));
      if (verdict) sums.crossings.add({ item, exercise: played, tempo, verdict, broke });
    }
    followEvent(sums.followed, event, following);
    climbed(sums.way, event.day, sums.followed.state);
    tallyTry(sums, event);
  }
}

function tallyTry(sums: Sums, event: LoggedTry): void {
  sums.count += 1;
  sums.mix[event.verdict ?? 'open'] += 1;
  for (const { what, limb } of event.suffered) {
    const { times, limbs } = sums.suffered.get(what) ?? { times: 0, limbs: {} };
    const more = limb === null ? limbs : { ...limbs, [limb]: (limbs[limb] ?? 0) + 1 };
    sums.suffered.set(what, { times: times + 1, limbs: more });
  }
  const open = event.verdict === null ? 1 : 0;
  const last = sums.days.at(-1);
  const so = last?.day === event.day ? last : { ...NOTHING_PLAYED, day: event.day, open: 0 };
  const now: ItemDay = { ...so, ...playedMore(so, event), open: so.open + open };
  if (so === last) sums.days[sums.days.length - 1] = now;
  else sums.days.push(now);
  sums.curve.add(event);
  sums.latest.push(event);
  if (sums.latest.length > LATEST) sums.latest.shift();
}

function startSums({ following }: ItemSource): Sums {
  return {
    followed: startFollowing(following),
    pace: nothingSeen(),
    way: [],
    days: [],
    crossings: new CrossingTally(),
    curve: new Curve(),
    mix: { clean: 0, shaky: 0, lost: 0, open: 0 },
    suffered: new Map(),
    count: 0,
    latest: [],
    decisions: [],
    cue: '',
    played: null,
  };
}

function copyOf(sums: Sums): Sums {
  return {
    ...sums,
    followed: copyFollowed(sums.followed),
    pace: copySeen(sums.pace),
    way: [...sums.way],
    days: [...sums.days],
    crossings: sums.crossings.copy(),
    curve: sums.curve.copy(),
    mix: { ...sums.mix },
    suffered: new Map(sums.suffered),
    latest: [...sums.latest],
    decisions: [...sums.decisions],
  };
}
