import { eventsBetween, type Score } from '@/core/playing';
import { secondsAt, steadyTempo, ticksAt, type Tempo, type TempoMap } from '@/core/time';
import type { Sounder } from './sounder';

/** Sound is planned this far ahead, so that a busy page is never heard. Seconds. */
export const LOOKAHEAD = 0.25;

/** Time between asking to play and the first click. Seconds. */
const LEAD_IN = 0.1;

/** Calls back about every 25 ms until stopped; returns how to stop it. */
export type Ticker = (tick: () => void) => () => void;

/** Clocks that drift apart by more than this mean that the device slept. Seconds. */
const SLEPT = 2;

/** One score of several that follow each other. */
export interface Part {
  readonly score: Score;
  readonly tempi: TempoMap;
}

interface Placed extends Part {
  /** Ticks at which it begins, its count-in included. */
  readonly from: number;
  /** When that sounds, and when its last tick has; seconds of the sounder. */
  readonly at: number;
  readonly ends: number;
}

export interface Telling {
  /** Called for each score that was played to its end, by its place. */
  readonly onPart?: (index: number) => void;
  /** Called once when all is played. */
  readonly onOver?: () => void;
  /** Called once when the device slept, with how far it was heard. */
  readonly onSlept?: (to: PlayedTo | null) => void;
}

/** Where playing stands: in which score, and how far in it, in fractional ticks from its downbeat. */
export interface PlayedTo {
  readonly part: number;
  readonly ticks: number;
}

/** Plays scores, one after the other. All positions are ticks from the downbeat after the count-in of
 * the score that plays. */
export class Player {
  #parts: readonly Placed[] = [];
  /** How far sound is planned, in seconds of the sounder. */
  #plannedTo = 0;
  #stopTicker: (() => void) | null = null;
  #telling: Telling = {};
  /** Scores whose end was told. */
  #told = 0;
  /** How far the wall clock was ahead of the sounder when playing began. Seconds. */
  #ahead = 0;

  constructor(
    private readonly sounder: Sounder,
    private readonly ticker: Ticker,
    private readonly wallMs: () => number = Date.now,
  ) {}

  /** Starts with the count-in of the first; each next one begins where the one before it ends. */
  start(parts: readonly Part[], telling: Telling = {}): void {
    this.stop();
    let at = this.sounder.now() + LEAD_IN;
    this.#parts = parts.map((part) => {
      const placed = place(part, at);
      at = placed.ends;
      return placed;
    });
    this.#plannedTo = this.sounder.now();
    this.#telling = telling;
    this.#told = 0;
    this.#ahead = this.#drift();
    this.#stopTicker = this.ticker(() => this.#plan());
    this.#plan();
  }

  /** @returns where it stood; null when nothing played */
  stop(): PlayedTo | null {
    const stood = this.position();
    this.#stopTicker?.();
    this.#stopTicker = null;
    this.sounder.cancelAfter(this.sounder.now());
    this.#parts = [];
    return stood;
  }

  get playing(): boolean {
    return this.#parts.length > 0;
  }

  /** Goes on at another tempo or with another score from where it is; the last one, when several play. */
  change(change: { score?: Score; tempo?: Tempo }): void {
    const now = this.sounder.now();
    const part = this.#parts.at(-1);
    if (!part) return;
    const from = ticksIn(part, now);
    const score = change.score ?? part.score;
    const tempi = change.tempo ? steadyTempo(change.tempo) : part.tempi;
    this.#parts = [{ ...place({ score, tempi }, now, from), from }];
    this.sounder.cancelAfter(now);
    this.#plannedTo = now;
    this.#plan();
  }

  /** What is heard now: which score, and where in it, in fractional ticks; null when nothing plays. */
  position(): PlayedTo | null {
    const now = this.sounder.now() - this.sounder.latency();
    const found = this.#parts.findIndex((part) => now < part.ends);
    const index = found < 0 ? this.#parts.length - 1 : found;
    const part = this.#parts[index];
    return part ? { part: index, ticks: ticksIn(part, now) } : null;
  }

  #drift(): number {
    return this.wallMs() / 1000 - this.sounder.now();
  }

  #plan(): void {
    const { sounder } = this;
    const now = sounder.now();
    if (this.#drift() - this.#ahead > SLEPT) {
      const { onSlept } = this.#telling;
      onSlept?.(this.stop());
      return;
    }
    const horizon = now + LOOKAHEAD;
    for (const part of this.#parts) {
      if (part.ends <= this.#plannedTo || part.at >= horizon) continue;
      const began = secondsAt(part.tempi, part.from);
      const from = Math.max(part.from, ticksIn(part, Math.max(part.at, this.#plannedTo)));
      for (const event of eventsBetween(part.score, from, ticksIn(part, horizon))) {
        const ahead = secondsAt(part.tempi, event.at) - began;
        sounder.sound(event, Math.max(now, part.at + ahead));
      }
    }
    this.#plannedTo = Math.max(this.#plannedTo, horizon);
    const { onPart, onOver } = this.#telling;
    const ended = this.#parts.filter((part) => part.ends <= now).length;
    for (; this.#told < ended; this.#told += 1) onPart?.(this.#told);
    if (ended > 0 && ended === this.#parts.length) {
      this.stop();
      onOver?.();
    }
  }
}

function place({ score, tempi }: Part, at: number, from?: number): Placed {
  const begins = from ?? -score.countInBars * score.exercise.barTicks;
  const { lengthTicks } = score;
  const lasts =
    lengthTicks === null ? Infinity : secondsAt(tempi, lengthTicks) - secondsAt(tempi, begins);
  return { score, tempi, from: begins, at, ends: at + lasts };
}

function ticksIn({ tempi, from, at }: Placed, seconds: number): number {
  return ticksAt(tempi, secondsAt(tempi, from) + seconds - at);
}
