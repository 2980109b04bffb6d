import { advance } from '../ladder';
import type { Verdict } from '../log';
import { fillOn } from './fill-on';
import { openAhead } from './head-start';
import { rateAt, SLOWER, taughtOn } from './learning';
import type { Schedule } from './schedule-schema';
import type { Stretch } from './stretches';
import type { Tally } from './tally';
import { countingOf, type LadderInPlan, type PlannedExercise } from './work';

/** What is the same for all that a student practises in one future. How far futures lie apart was set so that, of
 * forecasts held against model students (`core/simulation`), four in five held what was so. */
interface Fortune {
  /** Share of the planned dates that are kept, 0 to 1. */
  readonly keeps: number;
  /** Added to the logarithm of the odds of a clean try. */
  readonly better: number;
  /** Which of the rates the student learns at, 0 up to 1, and times what it is. */
  readonly rate: number;
  readonly learns: number;
  /** A minute teaches less at a higher tempo: as much less as the tempo's ratio to this power. */
  readonly slower: number;
}

/** As of so many planned dates is it known which share of them is kept. */
const DATES_KNOWN = 14;
/** Standard deviations, of the odds' logarithm and of the logarithm of what is learnt in a minute. */
const BETTER = 0.6;
const LEARNS = 0.4;
/** Of how much slower it goes at higher tempi. */
const SLOWER_DEVIATION = 1;

function drawFortune(keeps: number, random: () => number): Fortune {
  const dates = { clean: DATES_KNOWN * keeps, other: DATES_KNOWN * (1 - keeps) };
  return {
    keeps: keeps < 1 ? drawShare(dates, random) : 1,
    better: BETTER * drawNormal(random),
    rate: random(),
    learns: Math.exp(LEARNS * drawNormal(random)),
    slower: SLOWER + SLOWER_DEVIATION * drawNormal(random),
  };
}

/** How likely an exercise's tries are clean in one future. */
interface Chances {
  readonly fresh: number;
  readonly known: number;
  readonly lost: number;
  /** By rung, of what is not clean yet on it the share that a minute of playing takes away. */
  readonly learns: readonly number[];
}

/** One date of a future. */
export interface FutureDay {
  readonly number: number;
  readonly stretches: readonly Stretch[];
}

/** Draws how well it goes in one future: the fewer tries are known, the further this may lie from what
 * they show. @param random from 0 up to 1 */
function drawChances(
  { pace, tempi }: PlannedExercise,
  best: number,
  { better, rate, learns, slower }: Fortune,
  random: () => number,
): Chances {
  const { aMinute, start } = rateAt(pace.learning, rate);
  const odds = Math.exp(better);
  const share = (tally: Tally) => {
    const drawn = drawShare(tally, random);
    return (odds * drawn) / (odds * drawn + 1 - drawn);
  };
  return {
    fresh: share(start),
    known: share(pace.known),
    lost: pace.lost,
    learns: taughtOn(tempi, best, slower).map((share) => learns * aMinute * share),
  };
}

interface Watching {
  readonly onDay?: (index: number) => void;
  readonly onTry?: (work: number, verdict: Verdict, day: number) => void;
}

/** Works through dates, drawing every verdict, and for each work how well it goes once it is played; what is played
 * goes better by the minute, until its rung is won; a teacher who is asked says yes at once.
 * @param going changed in place  @param keeps share of planned dates that are kept, 0 to 1, as far as it is known
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
  const fortune = drawFortune(keeps, random);
  // Minutes since the last rung was won.
  const minutes = new Float64Array(works.length);
  for (const [index, { number, stretches }] of days.entries()) {
    const isKept = stretches.length > 0 && random() < fortune.keeps;
    if (isKept) {
      fillOn(works, going, number, stretches, order, ({ work, playSeconds }) => {
        const state = going[work];
        const of = works[work];
        if (!state || !of) return;
        const { passed, best } = state;
        const chance = (chances[work] ??= drawChances(of, best, fortune, random));
        const left = Math.exp(-(chance.learns[best] ?? 0) * (minutes[work] ?? 0));
        const verdict = draw(state, chance, left, random);
        onTry?.(work, verdict, number);
        state.triesToday += 1;
        if (verdict !== 'clean') state.missed = true;
        advance(state, verdict, countingOf(of), number);
        minutes[work] = state.best > best ? 0 : (minutes[work] ?? 0) + playSeconds / 60;
        if (!state.passed || passed) return;
        if (reached[work] === -1) reached[work] = index;
        openAhead(works, going, work);
      });
    }
    if (isKept || index === 0) for (const state of going) state.triesToday = 0;
    onDay?.(index);
  }
  return reached;
}

/** How one try goes. @param left share of what was not clean that practice has left */
function draw(
  state: LadderInPlan,
  { fresh, known, lost }: Chances,
  left: number,
  random: () => number,
): Verdict {
  const clean = !state.passed && state.rung >= state.best ? fresh : known;
  if (random() >= (1 - clean) * left) return 'clean';
  return random() < lost ? 'lost' : 'shaky';
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
