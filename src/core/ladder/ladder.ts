import { bpm, type Bpm } from '../time';
import type { Dosage } from './dosage-schema';
import type { Ladder } from './ladder-schema';
import { rungNames, type RungFacts } from './rung-key';
import type { PracticeStep } from './stage-schema';

export type LadderKind = Ladder['kind'];

/** A tempo that rises (or falls) within one try. */
interface Ramp {
  readonly to: Bpm;
  readonly step: number;
  readonly every: number;
}

/** One rung. `asks` is what is said of it; `key` names it in the log by what it asks, so that a ladder that was changed since finds
 * the rungs that stayed the same; `was` is how logs named it before keys had a form of their own. */
export interface Rung {
  readonly asks: RungFacts;
  readonly key: string;
  readonly was: string;
  readonly bpm: Bpm;
  /** Where one try is not the item's own dosage. */
  readonly dosage?: Dosage;
  readonly ramp?: Ramp;
  readonly stage?: PracticeStep;
}

/** The rungs of a ladder, first to last; the last one is the target.
 * @throws RangeError on a ladder that `makeLadder` refuses (a caller's bug)
 * @example rungsOf({ kind: 'fixed', start: 60, target: 72, step: 5 }) // => 60, 65, 70, 72 */
export function rungsOf(ladder: Ladder): readonly Rung[] {
  let rungs = RUNGS.get(ladder);
  if (!rungs) RUNGS.set(ladder, (rungs = makeRungs(ladder)));
  return rungs;
}

/** Ladders are followed over and over. */
const RUNGS = new WeakMap<Ladder, readonly Rung[]>();

function makeRungs(ladder: Ladder): readonly Rung[] {
  switch (ladder.kind) {
    case 'fixed':
      return climb(ladder).map(tempoRung);
    case 'percent':
      return powers(ladder.start, ladder.target, ladder.percent).map(tempoRung);
    case 'two-up':
      return twoUpOneDown(ladder).map(tempoRung);
    case 'alternate':
      return climb(ladder).flatMap((fast) => [tempoRung(ladder.slow), tempoRung(fast)]);
    case 'list':
      return ladder.tempi.map(tempoRung);
    case 'hold':
      return climb({ start: ladder.from, target: ladder.to, step: ladder.by }).map((amount) => ({
        ...rungNames({ kind: 'hold', bpm: ladder.bpm, minutes: amount }),
        bpm: bpm(ladder.bpm),
        dosage: { kind: 'minutes', amount },
      }));
    case 'ramp':
      return [rampRung(ladder)];
    case 'stages':
      return ladder.stages.flatMap((one) =>
        one.way ? climb(one.way).map((at) => stageRung(one, at)) : [stageRung(one, ladder.bpm)],
      );
  }
}

function tempoRung(tempo: number): Rung {
  return { ...rungNames({ kind: 'tempo', bpm: tempo }), bpm: bpm(tempo) };
}

function stageRung(stage: PracticeStep, tempo: number): Rung {
  return { ...rungNames({ kind: 'stage', stage, bpm: tempo }), bpm: bpm(tempo), stage };
}

function rampRung(ladder: Extract<Ladder, { kind: 'ramp' }>): Rung {
  const { start, target, step, every } = ladder;
  const bars = climb(ladder).length * every;
  return {
    ...rungNames({ kind: 'ramp', start, target, step, every }),
    bpm: bpm(start),
    dosage: { kind: 'bars', amount: bars },
    ramp: { to: bpm(target), step, every },
  };
}

interface Way {
  readonly start: number;
  readonly target: number;
  readonly step: number;
}

/** Equal steps; the last shortens. */
function climb({ start, target, step }: Way): number[] {
  if (step === 0 || (target - start) * step < 0) throw new RangeError('step leads nowhere');
  const found: number[] = [];
  const before = (value: number) => (step > 0 ? value < target : value > target);
  for (let n = 0; before(start + n * step); n += 1) found.push(start + n * step);
  return [...found, target];
}

/** Rounded from the exact power, so that no rounding adds up; a tempo that would stay is left out.
 * @example powers(60, 100, 5) // => 60 63 66 69 73 77 80 84 89 93 98 100 */
function powers(start: number, target: number, percent: number): number[] {
  const factor = 1 + percent / 100;
  if (factor <= 0 || factor === 1 || (target - start) * percent < 0) {
    throw new RangeError('percent leads nowhere');
  }
  const found: number[] = [];
  const before = (value: number) => (percent > 0 ? value < target : value > target);
  for (let n = 0; before(Math.round(start * factor ** n)); n += 1) {
    const next = Math.round(start * factor ** n);
    if (found.at(-1) !== next) found.push(next);
  }
  return [...found, target];
}

/** @example 60 to 75 by 5 // => 60 65 70 65 70 75 */
function twoUpOneDown({ start, target, step }: Way): number[] {
  const steps = climb({ start, target, step });
  if (steps.length <= 3) return steps;
  return steps.slice(2).flatMap((top, index) => [steps[index] ?? 0, steps[index + 1] ?? 0, top]);
}

/** The tempo of a ramp in a bar of its try. @param bar from 0 */
export function rampBpm(rung: Rung, bar: number): Bpm {
  const { ramp } = rung;
  if (!ramp) return rung.bpm;
  const raised = rung.bpm + Math.floor(bar / ramp.every) * ramp.step;
  return bpm(ramp.step > 0 ? Math.min(ramp.to, raised) : Math.max(ramp.to, raised));
}
