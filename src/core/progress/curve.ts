import { dayNumber } from '../calendar';
import type { LoggedTry } from '../log';

/** A try, as a curve of tempi draws it. */
export type CurvePoint = Pick<LoggedTry, 'at' | 'day' | 'bpm' | 'verdict'>;

/** Latest tries that are kept one by one. */
const ONE_BY_ONE = 200;

/** A curve of tempi that stays short however long the log is: the latest tries one by one, before them
 * the fastest try of each week for each verdict. */
export class Curve {
  #weeks: CurvePoint[] = [];
  #late: CurvePoint[] = [];

  add(point: LoggedTry): void {
    this.#late.push(point);
    if (this.#late.length < 2 * ONE_BY_ONE) return;
    for (const point of this.#late.splice(0, ONE_BY_ONE)) this.#intoWeek(point);
  }

  /** Oldest first. */
  points(): readonly CurvePoint[] {
    return [...this.#weeks, ...this.#late].map(({ at, day, bpm, verdict }) => {
      return { at, day, bpm, verdict };
    });
  }

  copy(): Curve {
    const copy = new Curve();
    copy.#weeks = [...this.#weeks];
    copy.#late = [...this.#late];
    return copy;
  }

  #intoWeek(point: CurvePoint): void {
    const week = weekOf(point);
    for (let at = this.#weeks.length - 1; at >= 0; at -= 1) {
      const known = this.#weeks[at];
      if (!known || weekOf(known) !== week) break;
      if (known.verdict !== point.verdict) continue;
      if (point.bpm > known.bpm) this.#weeks[at] = point;
      return;
    }
    this.#weeks.push(point);
  }
}

function weekOf({ day }: CurvePoint): number {
  return Math.floor((dayNumber(day) + 3) / 7);
}
