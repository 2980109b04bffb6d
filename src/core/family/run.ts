import { hindrances, type Hindrance } from '../analysis';
import { expand, partsOf, withParts, type ClosedRecipe, type Exercise, type Part } from '../recipe';
import type { Tempo } from '../time';

/** Most exercises of a run. */
export const MOST_OF_A_RUN = 64;

/** Exercises back to back, each for so many bars, as one. @param bars null is each one’s own cycle */
export function runOf(
  members: readonly { readonly name: string; readonly recipe: ClosedRecipe }[],
  bars: number | null,
): ClosedRecipe | null {
  const [first, ...others] = members
    .flatMap(({ name, recipe }) => runParts(recipe, name || 'then', bars))
    .slice(0, MOST_OF_A_RUN);
  return first ? withParts([first, ...others]) : null;
}

/** What a member of a run plays: an exercise for so many bars, a sequence part by part, as it is. */
function runParts(recipe: ClosedRecipe, name: string, bars: number | null): readonly Part[] {
  if (!recipe.then) return [{ name, bars, untimed: false, recipe }];
  return partsOf(recipe).map((part, nth) => ({
    ...part,
    name: [name, part.name || String(nth + 1)].join(', ').slice(0, LONGEST_NAME),
  }));
}

/** Letters of a part's name. */
const LONGEST_NAME = 80;

/** What hinders where one exercise goes into the next; the numbers are theirs in the path. */
export interface RunSeam {
  readonly from: number;
  readonly to: number;
  readonly hindrance: Hindrance;
}

/** What hinders a run only because one exercise follows the other: at the seams of its members.
 * @param first number of the run’s first member in the path that it is a part of
 */
export function runSeams(
  run: Exercise,
  members: readonly ClosedRecipe[],
  tempo: Tempo,
  first = 1,
): readonly RunSeam[] {
  const parts = members.flatMap((recipe) => partsOf(recipe).map((part) => part.recipe));
  const own = new Set<string>();
  run.members.forEach(({ fromBar, bars, cycleBars }, nth) => {
    const recipe = parts[nth];
    const alone = recipe && expand(recipe);
    if (!alone?.ok) return;
    for (const { rule, at } of hindrances(alone.value, tempo)) {
      for (let bar = 0; bar < bars; bar += cycleBars) {
        own.add(`${rule} ${at + (fromBar + bar) * run.barTicks}`);
      }
    }
  });
  return hindrances(run, tempo)
    .filter(({ rule, at }) => !own.has(`${rule} ${at}`) && rule !== 'fast-run')
    .map((one) => {
      const bar = Math.floor(one.at / run.barTicks);
      const nth = run.members.findLastIndex((member) => member.fromBar <= bar);
      const next = (nth + 1) % Math.max(1, run.members.length);
      return { from: first + nth, to: first + next, hindrance: one };
    });
}
