import { expand, type Change, type ClosedRecipe, type Exercise } from '../recipe';
import { beats, slotTicks } from '../time';
import { changed, type StepContent } from './step';

/** The one half, the other, split at the beat that lies nearest the middle: of a phrase that is placed in
 * time its own halves, in as few bars as it takes; else of the cycle. */
export function halfStages(placed: ClosedRecipe, cycle: Exercise): readonly StepContent[] {
  const isPlaced = placed.changes.some(({ kind }) => kind === 'aim');
  if (isPlaced && phraseTicks(cycle).length === 0) return [];
  const recipe = isPlaced ? inFewBars(placed, cycle) : placed;
  const made = recipe === placed ? null : expand(recipe);
  const whole = made?.ok ? made.value : cycle;
  const { from, to } = isPlaced ? phraseSpan(whole) : { from: 0, to: whole.cycleTicks };
  const slot = slotTicks('16');
  const middle = (from + to) / 2;
  const split = beatsOf(whole).reduce(
    (best, at) => (Math.abs(at - middle) < Math.abs(best - middle) ? at : best),
    from,
  );
  const [first, second, end] = [from / slot, split / slot, to / slot];
  if (split <= from || split >= to || ![first, second, end].every(Number.isInteger)) return [];
  const half = (start: number, slots: number, which: 'first' | 'second') =>
    changed(
      recipe,
      { kind: 'excerpt', from: start, slots, slot: '16' },
      { plays: 'half', half: which },
    );
  return [half(first, second - first, 'first'), half(second, end - second, 'second')];
}

/** The recipe with its phrase placed in no more bars than it touches. */
function inFewBars(recipe: ClosedRecipe, whole: Exercise): ClosedRecipe {
  const { from, to } = phraseSpan(whole);
  const { barTicks } = whole;
  const bars = Math.ceil(to / barTicks) - Math.floor(from / barTicks);
  const changes = recipe.changes.map((change): Change => {
    if (change.kind !== 'aim') return change;
    return { ...change, bars, ...(change.on && { on: { ...change.on, bar: 1 } }) };
  });
  return { ...recipe, changes };
}

/** All beats of the cycle, in ticks. */
function beatsOf({ bars, barTicks, meter }: Exercise): readonly number[] {
  return Array.from({ length: bars }, (_, bar) =>
    beats(meter).map((beat) => bar * barTicks + beat.at),
  ).flat();
}

/** From the beat of the line’s first stroke to the end of the beat of its last one, in ticks. */
function phraseSpan(whole: Exercise): { readonly from: number; readonly to: number } {
  const places = phraseTicks(whole);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const all = beatsOf(whole);
  return {
    from: all.findLast((at) => at <= first) ?? 0,
    to: all.find((at) => at > last) ?? whole.cycleTicks,
  };
}

/** Where the phrase has strokes, in ticks. */
function phraseTicks({ strokes }: Exercise): readonly number[] {
  return strokes.flatMap(({ at, from }) =>
    from.source === 'line' || from.source === 'fill' ? [at] : [],
  );
}
