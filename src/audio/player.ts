import { eventsBetween, type Score } from '@/core/playing';
import { secondsAt, steadyTempo, ticksAt, type Tempo, type TempoMap } from '@/core/time';
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
  #tempi: TempoMap | null = null;
  #plannedTo = 0;
  #stopTicker: (() => void) | null = null;
  #onOver: () => void = () => {};

  constructor(
    private readonly sounder: Sounder,
    private readonly ticker: Ticker,
  ) {}

  /** Starts with the count-in. @param tempo one, or several one after the other
   * @param onOver called once when the score's length is played */
  start(score: Score, tempo: Tempo | TempoMap, onOver: () => void = () => {}): void {
    this.stop();
    const from = -score.countInBars * score.exercise.barTicks;
    this.#score = score;
    this.#tempi = 'bpm' in tempo ? steadyTempo(tempo) : tempo;
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
    if (change.tempo) this.#tempi = steadyTempo(change.tempo);
    this.sounder.cancelAfter(this.sounder.now());
    this.#plannedTo = here;
    this.#plan();
  }

  /** What is heard now, in fractional ticks; null when nothing plays. */
  position(): number | null {
    return this.#ticksAt(this.sounder.now() - this.sounder.latency());
  }

  #ticksAt(seconds: number): number | null {
    if (!this.#anchor || !this.#tempi) return null;
    const began = secondsAt(this.#tempi, this.#anchor.ticks);
    return ticksAt(this.#tempi, began + seconds - this.#anchor.seconds);
  }

  #plan(): void {
    const { sounder } = this;
    const horizon = this.#ticksAt(sounder.now() + LOOKAHEAD);
    const here = this.#ticksAt(sounder.now());
    if (!this.#score || !this.#tempi || !this.#anchor || horizon === null || here === null) return;
    const began = secondsAt(this.#tempi, this.#anchor.ticks);
    for (const event of eventsBetween(this.#score, this.#plannedTo, horizon)) {
      const ahead = secondsAt(this.#tempi, event.at) - began;
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
