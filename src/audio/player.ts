import { eventsBetween, type Score } from '@/core/playing';
import { secondsToTicks, ticksToSeconds, type Tempo } from '@/core/time';
import type { Sounder } from './sounder';

/** Sound is planned this far ahead, so that a busy page is never heard. Seconds. */
export const LOOKAHEAD = 0.25;

/** Time between asking to play and the first click. Seconds. */
const LEAD_IN = 0.1;

/** Calls back about every 25 ms until stopped; returns how to stop it. */
export type Ticker = (tick: () => void) => () => void;

interface Anchor {
  readonly seconds: number;
  readonly ticks: number;
}

/** Plays one score at a time. All positions are ticks from the downbeat after the count-in. */
export class Player {
  #anchor: Anchor | null = null;
  #score: Score | null = null;
  #tempo: Tempo | null = null;
  #plannedTo = 0;
  #stopTicker: (() => void) | null = null;
  #onOver: () => void = () => {};

  constructor(
    private readonly sounder: Sounder,
    private readonly ticker: Ticker,
  ) {}

  /** Starts with the count-in. @param onOver called once when the score's length is played */
  start(score: Score, tempo: Tempo, onOver: () => void = () => {}): void {
    this.stop();
    const from = -score.countInBars * score.exercise.barTicks;
    this.#score = score;
    this.#tempo = tempo;
    this.#anchor = { seconds: this.sounder.now() + LEAD_IN, ticks: from };
    this.#plannedTo = from;
    this.#onOver = onOver;
    this.#stopTicker = this.ticker(() => this.#plan());
    this.#plan();
  }

  stop(): void {
    this.#stopTicker?.();
    this.#stopTicker = null;
    this.sounder.cancelAfter(this.sounder.now());
    this.#score = null;
    this.#anchor = null;
  }

  get playing(): boolean {
    return this.#score !== null;
  }

  /** Goes on at another tempo or with another score from where it is. */
  change(change: { score?: Score; tempo?: Tempo }): void {
    const here = this.#ticksAt(this.sounder.now());
    if (here === null || !this.#score) return;
    this.#anchor = { seconds: this.sounder.now(), ticks: here };
    this.#score = change.score ?? this.#score;
    this.#tempo = change.tempo ?? this.#tempo;
    this.sounder.cancelAfter(this.sounder.now());
    this.#plannedTo = here;
    this.#plan();
  }

  /** What is heard now, in fractional ticks; null when nothing plays. */
  position(): number | null {
    return this.#ticksAt(this.sounder.now() - this.sounder.latency());
  }

  #ticksAt(seconds: number): number | null {
    if (!this.#anchor || !this.#tempo) return null;
    return this.#anchor.ticks + secondsToTicks(seconds - this.#anchor.seconds, this.#tempo);
  }

  #plan(): void {
    const { sounder } = this;
    const horizon = this.#ticksAt(sounder.now() + LOOKAHEAD);
    const here = this.#ticksAt(sounder.now());
    if (!this.#score || !this.#tempo || !this.#anchor || horizon === null || here === null) return;
    for (const event of eventsBetween(this.#score, this.#plannedTo, horizon)) {
      const ahead = ticksToSeconds(event.at - this.#anchor.ticks, this.#tempo);
      sounder.sound(event, Math.max(sounder.now(), this.#anchor.seconds + ahead));
    }
    this.#plannedTo = Math.max(this.#plannedTo, horizon);
    if (this.#score.lengthTicks !== null && here >= this.#score.lengthTicks) {
      const onOver = this.#onOver;
      this.stop();
      onOver();
    }
  }
}
