import { readBack } from '@/core/analysis';
import { must } from '@/core/issue';
import { SHIPPED_LINES, SHIPPED_OSTINATOS } from '@/core/materials';
import { blankRecipe, expand, startOf, toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import { bpm, tempoFor } from '@/core/time';
import { median, timed, type Row } from './report';

const KINDS = ['verbatim', 'short-long', 'phrase-cells', 'accents-16ths'] as const;
const POLICIES = ['limbs', 'merge'] as const;

/** Different exercises of one to two bars: ostinatos by lines by interpretations by policies by
 * displacements; those that need more bars, or cannot be played, are left out. */
function* recipes(): Generator<ClosedRecipe> {
  const lines = Object.values(SHIPPED_LINES).filter((line) => line.meter === '4/4');
  for (const by of Array.from({ length: 33 }, (_, index) => index - 16)) {
    for (const id of Object.keys(SHIPPED_OSTINATOS)) {
      for (const { text } of lines) {
        for (const kind of KINDS) {
          for (const clash of POLICIES) {
            yield {
              ...toggleOstinato(blankRecipe(), id),
              meter: '4/4',
              play: { content: { text } },
              as: startOf(kind),
              clash,
              changes: [{ kind: 'displace', what: 'pattern', part: 'line', by, slot: '16' }],
            };
          }
        }
      }
    }
  }
}

function take(count: number): readonly ClosedRecipe[] {
  const found: ClosedRecipe[] = [];
  for (const recipe of recipes()) {
    const exercise = expand(recipe);
    if (exercise.ok && exercise.value.bars <= 2) found.push(recipe);
    if (found.length === count) return found;
  }
  throw new Error(`only ${found.length} different exercises`);
}

function work(all: readonly ClosedRecipe[]): void {
  for (const recipe of all) {
    const exercise = must(expand(recipe));
    readBack(exercise, tempoFor(exercise.meter, bpm(80)));
  }
}

function copy(all: readonly ClosedRecipe[]): void {
  for (const recipe of all) JSON.parse(JSON.stringify(recipe));
}

const SIZES = [1000, 10_000, 100_000] as const;
const ROUNDS = 3;

/** The largest size is measured once: it takes long, and its noise is small. */
const roundsOf = (size: number) => (size > 10_000 ? 1 : ROUNDS);

/** Expands and reads back on one core; the baseline copies the same recipes as JSON. */
export function expandAndAnalyse(): Row[] {
  work(take(SIZES[0]));
  const times = SIZES.map((size) => {
    const all = take(size);
    const rounds = Array.from({ length: roundsOf(size) });
    const mine = median(rounds.map(() => timed(() => work(all))));
    const baseline = median(rounds.map(() => timed(() => copy(all))));
    return { size, mine, baseline };
  });
  const first = times[0]?.mine ?? NaN;
  return [
    ...times.map(({ size, mine, baseline }) => ({
      what: `expand and read back ${size} different exercises`,
      measured: `${Math.round(mine)} ms, ${Math.round((1000 * size) / mine)} a second`,
      against: `${(mine / baseline).toFixed(1)} × copying the recipes as JSON`,
    })),
    ...times.slice(1).map(({ size, mine }) => ({
      what: `growth from ${SIZES[0]} to ${size}`,
      measured: `${(mine / first).toFixed(1)} ×`,
      against: `${size / SIZES[0]} × is linear`,
    })),
  ];
}
