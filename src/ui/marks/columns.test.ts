import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '@/samples.fixture';
import { must } from '@/core/issue';
import { columnsOfBar } from '@/core/analysis';
import { SHIPPED_OSTINATOS } from '@/core/materials';
import { blankRecipe, expand, toggleOstinato, type Exercise } from '@/core/recipe';
import { RECIPES } from '@/core/recipe/recipes.fixture';
import { typedSticking } from '@/core/sticking';
import { quarters, SYLLABLES } from '@/core/time';
import * as engraver from './engraver';
import { holdsMarks, placeX, SPACE, systemsOf, type Shows } from './columns';

function exerciseOf(sticking: string): Exercise {
  return must(expand({ ...blankRecipe(), play: { content: typedSticking(sticking) } }));
}

describe('systemsOf', () => {
  const plain = exerciseOf('RLRL RLRL RLRL RLRL RLRL RLRL RLRL RLRL');
  const drags = exerciseOf('dRLRL dRLRL dRLRL dRLRL dRLRL dRLRL dRLRL dRLRL');
  const at = { width: 900, gutter: 128, engraver };
  const perRow = (exercise: Exercise, shows: Shows) =>
    systemsOf(exercise, { ...at, shows })[0]?.bars.length;

  it('a staff has room for grace notes before their notes, also before beat one', () => {
    const [first] = systemsOf(drags, { ...at, shows: 'both' })[0]?.bars ?? [];
    const [lanes] = systemsOf(drags, at)[0]?.bars ?? [];
    const lead = (box?: typeof first) => (box?.left ?? 0) - (box?.edge ?? 0);
    expect(lead(first)).toBeGreaterThanOrEqual(lead(lanes) + 10);
    expect(perRow(plain, 'both')).toBe(2);
    expect(perRow(drags, 'both')).toBe(1);
    expect(perRow(drags, 'lanes')).toBe(2);
  });

  it.each(['lanes', 'staff', 'both'] as const)(
    '%s: what is broken in rows holds its marks',
    (shows) => {
      for (const exercise of [plain, drags]) {
        for (const width of [600, 900, 1400]) {
          expect(
            holdsMarks(exercise, systemsOf(exercise, { width, gutter: 60, shows, engraver }), 1, {
              shows,
              engraver,
            }),
          ).toBe(true);
        }
      }
    },
  );

  it('a staff alone gives longer values more room, and ends where its bar does', () => {
    const line = must(expand({ ...blankRecipe(), play: { content: { text: '2 4 8 16 16' } } }));
    const [box] =
      systemsOf(line, { width: 500, gutter: 60, shows: 'staff', engraver })[0]?.bars ?? [];
    if (!box) throw new Error('no bar');
    const xs = [0, 2, 3, 3.5, 3.75].map((beat) => placeX(box, quarters(beat * 4, 4)));
    const gaps = xs.slice(1).map((x, index) => x - (xs[index] ?? 0));
    expect(gaps).toEqual([...gaps].sort((a, b) => b - a));
    expect(placeX(box, line.barTicks)).toBe(box.right);
    expect(placeX(box, quarters(1))).toBeGreaterThan(xs[0] ?? 0);
    expect(placeX(box, quarters(1))).toBeLessThan(xs[1] ?? 0);
  });

  const SHIPPED_EXERCISES = Object.keys(SHIPPED_OSTINATOS).map((id) =>
    must(expand(toggleOstinato(blankRecipe(), id))),
  );
  const COUNT = SYLLABLES.english;

  /** Words of the count over a staff alone that meet the next one, or the bar's end. */
  function meetingWords(exercise: Exercise): readonly string[] {
    const { meter, barTicks } = exercise;
    const sheet = { width: 700, gutter: 56, shows: 'staff', engraver, count: COUNT } as const;
    const boxes = systemsOf(exercise, sheet).flatMap(({ bars }) => bars);
    if (!holdsMarks(exercise, systemsOf(exercise, sheet), 1, sheet)) return [];
    return boxes.flatMap((box) => {
      const words = engraver.countRow(columnsOfBar(exercise, box.bar), meter, COUNT);
      const rights = words.map(({ at, width }) => placeX(box, at) + (width / 2) * SPACE);
      const lefts = words.map(({ at, width }) => placeX(box, at) - (width / 2) * SPACE);
      const nexts = [...lefts.slice(1), placeX(box, barTicks)];
      return words
        .filter((_, index) => (nexts[index] ?? 0) < (rights[index] ?? 0))
        .map(({ at, text }) => `${box.bar + 1}: ${text} at ${at}`);
    });
  }

  it('words of the count keep apart on a staff alone', () => {
    expect(SHIPPED_EXERCISES.flatMap(meetingWords)).toEqual([]);
    const lanes = [
      { limb: 'RH' as const, voice: 'ride' as const, slot: '8' as const, grid: 'xxxxxxxxxxxx' },
      { limb: 'LH' as const, voice: 'snare' as const, slot: '16t' as const, grid: 'x'.repeat(36) },
    ];
    const over = [{ content: { name: 'one', meter: '12/8', swung: false, lanes } }];
    const dense = must(expand({ ...blankRecipe(), meter: '12/8', over }));
    expect(meetingWords(dense)).toEqual([]);
    fc.assert(
      fc.property(RECIPES, (recipe) => {
        const made = expand(recipe);
        if (made.ok) expect(meetingWords(made.value)).toEqual([]);
      }),
      { numRuns: samples(200), seed: 12 },
    );
  });

  it('a bar of rest on a staff alone has its beats apart, for the count and the playhead', () => {
    const content = { text: '4 4 4 4 | 1r' };
    const rests = must(expand({ ...blankRecipe(), play: { content } }));
    const sheet = { width: 900, gutter: 60, shows: 'staff', engraver } as const;
    const [, empty] = systemsOf(rests, sheet).flatMap((system) => system.bars);
    if (!empty) throw new Error('no second bar');
    const xs = [0, 1, 2, 3].map((beat) => placeX(empty, quarters(beat)));
    expect(xs).toEqual([...xs].sort((a, b) => a - b));
    expect(new Set(xs).size).toBe(4);
    expect(xs[0]).toBeGreaterThan(empty.edge);
  });
});
