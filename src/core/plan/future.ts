import { advance } from '../ladder';
import type { Verdict } from '../log';
import { fillDay } from './fill';
import type { Tally } from './pace';
import type { Schedule } from './schedule-schema';
import type { Stretch } from './stretches';
import { countingOf, type LadderInPlan, type PlannedExercise } from './work';

/** How likely a student's tries are clean in one future. */
interface Chances {
  readonly fresh: number;
  readonly known: number;
  readonly lost: number;
}

/** One date of a future. */
export interface FutureDay {
  readonly number: number;
  readonly stretches: readonly Stretch[];
}

/** Draws how well it goes in one future: the fewer tries are known, the further this may lie from what
 * they show. @param random from 0 up to 1 */
function drawChances({ pace }: PlannedExercise, random: () => number): Chances {
  return {
    fresh: drawShare(pace.fresh, random),
    known: drawShare(pace.known, random),
    lost: pace.lost,
  };
}

interface Watching {
  readonly onDay?: (index: number) => void;
  readonly onTry?: (work: number, verdict: Verdict, day: number) => void;
}

/** Works through dates, drawing every verdict, and for each work how well it goes once it is played; a
 * teacher who is asked says yes at once.
 * @param going changed in place  @param keeps share of planned dates that are kept, 0 to 1
 * @param watch is told after each date, and before each try counts
 * @returns by work the index of the date on which its target is reached; -1 for none */
export function liveThrough(
  works: readonly PlannedExercise[],
  going: readonly LadderInPlan[],
  days: readonly FutureDay[],
  order: Schedule['order'],
  keeps: number,
  random: () => number,
  { onDay, onTry }: Watching,
): Int16Array {
  const reached = new Int16Array(works.length).fill(-1);
  const chances: (Chances | null)[] = works.map(() => null);
  for (const [index, { number, stretches }] of days.entries()) {
    if (stretches.length > 0 && random() < keeps) {
      const entries = fillDay(works, going, number, stretches, order);
      for (const { work } of entries) {
        const state = going[work];
        const of = works[work];
        if (!state || !of || (state.passed && state.lastDay === number)) continue;
        const before = state.passed;
        const chance = (chances[work] ??= drawChances(of, random));
        const verdict = draw(state, chance, random);
        onTry?.(work, verdict, number);
        state.triesToday += 1;
        advance(state, verdict, countingOf(of), number);
        if (state.passed && !before && reached[work] === -1) reached[work] = index;
      }
      for (const { work } of entries) {
        const state = going[work];
        if (state) state.triesToday = 0;
      }
    }
    if (index === 0) for (const state of going) state.triesToday = 0;
    onDay?.(index);
  }
  return reached;
}

/** How one try goes. */
function draw(state: LadderInPlan, { fresh, known, lost }: Chances, random: () => number): Verdict {
  const clean = random() < (!state.passed && state.rung >= state.best ? fresh : known);
  return clean ? 'clean' : random() < lost ? 'lost' : 'shaky';
}

/** A share from a Beta distribution, as the part that one Gamma has of two. */
function drawShare({ clean, other }: Tally, random: () => number): number {
  const one = drawGamma(clean, random);
  return one / (one + drawGamma(other, random));
}

/** A number from a Gamma distribution of scale 1 (Marsaglia & Tsang 2000, A simple method for
 * generating gamma variables; from memory). @param shape above 0 */
export function drawGamma(shape: number, random: () => number): number {
  if (shape < 1) return drawGamma(shape + 1, random) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = drawNormal(random);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}

/** A number from the standard normal distribution (Box & Muller 1958). */
function drawNormal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}
