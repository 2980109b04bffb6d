import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { must } from '../issue';
import { SHIPPED_OSTINATOS } from '../materials';
import { blankRecipe, expand, toggleOstinato, type Exercise } from '../recipe';
import { RECIPES } from '../recipe/recipes.fixture';
import { beats, SYLLABLES } from '../time';
import { GLYPHS } from './glyphs';
import { layOutStaff } from './lay-out-staff';

const rows = { count: true, sticking: true };

function layOut(exercise: Exercise, width: number) {
  const columnsOf = () => beats(exercise.meter).map(({ at }) => at);
  return layOutStaff(exercise, rows, { width, columnsOf, syllables: SYLLABLES.english });
}

/** What is wrong with a layout: bars that are missing or out of order, and what stands outside of its system or
 * runs into what stands beside it. */
function faultsOf(exercise: Exercise, width: number): readonly string[] {
  const { systems } = layOut(exercise, width);
  const numbers = systems.flatMap(({ bars }) => bars.map(({ number }) => number));
  const wanted = Array.from({ length: exercise.bars }, (_, index) => index + 1);
  const faults = numbers.join() === wanted.join() ? [] : [`bars ${numbers.join()}`];
  for (const { bars, right, head } of systems) {
    const headRight = Math.max(...head.map(({ glyph, x }) => x + GLYPHS[glyph][2]));
    const first = bars[0]?.left ?? 0;
    if (first < headRight) faults.push('a bar over the head');
    if (bars.length > 1 && right > width) faults.push(`ends at ${right} of ${width}`);
    for (const { texts, number } of bars) {
      const counted = texts.filter(({ y }) => y < 0).sort((a, b) => a.x - b.x);
      counted.slice(1).forEach((text, index) => {
        const before = counted[index];
        if (before && text.x - before.x < 0.4)
          faults.push(`bar ${number}: ${before.text}${text.text}`);
      });
    }
  }
  return faults;
}

describe('layOutStaff', () => {
  const shipped = Object.keys(SHIPPED_OSTINATOS).map(
    (id) => [id, must(expand(toggleOstinato(blankRecipe(), id)))] as const,
  );

  it.each(shipped)('%s: every bar once, in order, within its system', (_, exercise) => {
    expect(faultsOf(exercise, 98)).toEqual([]);
    expect(faultsOf(exercise, 70)).toEqual([]);
  });

  it('so has every exercise', () => {
    fc.assert(
      fc.property(RECIPES, fc.integer({ min: 60, max: 120 }), (recipe, width) => {
        const made = expand(recipe);
        if (made.ok) expect(faultsOf(made.value, width)).toEqual([]);
      }),
      { numRuns: samples(150) },
    );
  });

  it('spreads bars evenly over its systems, the meter before the first alone', () => {
    const text = Array.from({ length: 6 }, () => '16 16 16 16 16 16 16 16 4 4').join(' | ');
    const exercise = must(expand({ ...blankRecipe(), play: { content: { text } } }));
    const { systems } = layOut(exercise, 98);
    expect(systems.map(({ bars }) => bars.length)).toEqual([2, 2, 2]);
    expect(systems.map(({ head }) => head.length)).toEqual([3, 1, 1]);
    const [first] = systems;
    expect(first?.right).toBeGreaterThan(90);
  });

  it('a lone short bar keeps its own spacing', () => {
    const exercise = must(expand({ ...blankRecipe(), play: { content: { text: '4 4 4 4' } } }));
    expect(layOut(exercise, 98).systems[0]?.right).toBeLessThan(60);
  });
});
