import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import {
  countStrings,
  spokenLimbs,
  lineReading,
  lineWords,
  sayWord,
  spokenComposite,
} from '../analysis';
import { must } from '../issue';
import { findShipped, SHIPPED_LINES, SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '../materials';
import {
  blankRecipe,
  expand,
  INTERPRETATION_STARTS,
  startOf,
  toggleOstinato,
  type ClosedRecipe,
  type Exercise,
} from '../recipe';
import { stickingStart } from '../sticking';
import { CHANGES, RECIPES } from '../recipe/recipes.fixture';
import { retypeComposite, retypeCount, retypeLine, type Retyped } from '.';

function played(exercise: Exercise): readonly string[] {
  return exercise.strokes.map(
    (one) => `${one.at} ${one.limb} ${one.voice} ${one.dynamic} ${one.ornament ?? ''}`,
  );
}

/** What is read back, typed unchanged, is the same exercise and reads the same. */
function comesBack(recipe: ClosedRecipe): void {
  const made = expand(recipe);
  if (!made.ok) return;
  const exercise = made.value;
  const before = played(exercise);
  const check = (offers: readonly Retyped[], read: (one: Exercise) => string | undefined) => {
    const again = must(expand(offers[0]?.recipe ?? blankRecipe()));
    expect(read(again)).toBe(read(exercise));
    expect(played(again)).toEqual(before);
  };
  const line = lineReading(exercise);
  if (line) check(must(retypeLine(recipe, exercise, line)), lineReading);
  for (const { limb, bars } of countStrings(exercise)) {
    const text = bars.join(' | ');
    const shown = (one: Exercise) =>
      countStrings(one)
        .find((count) => count.limb === limb)
        ?.bars.join(' | ');
    check(must(retypeCount(recipe, exercise, limb, text)), shown);
  }
  const limbs = spokenLimbs(exercise);
  if (!limbs) return;
  const said = spokenComposite(exercise, limbs);
  check(must(retypeComposite(recipe, exercise, limbs, said)), (one) => spokenComposite(one, limbs));
}

describe('what is read back can be typed back unchanged', () => {
  it('of every shipped ostinato', () => {
    for (const id of Object.keys(SHIPPED_OSTINATOS)) comesBack(toggleOstinato(blankRecipe(), id));
  });

  it('of every shipped sticking, in 16ths and in triplets', () => {
    for (const { sticking } of Object.values(SHIPPED_STICKINGS)) {
      for (const slot of ['16', '8t'] as const) {
        const typed = { ...stickingStart(sticking), slot };
        comesBack({ ...blankRecipe(), play: { content: typed } });
      }
    }
  });

  it('of every shipped line, read in every way', () => {
    for (const { text, meter } of Object.values(SHIPPED_LINES)) {
      for (const { id } of INTERPRETATION_STARTS) {
        comesBack({ ...blankRecipe(), meter, play: { content: { text } }, as: startOf(id) });
      }
    }
  });

  it('of 500 random recipes', () => {
    fc.assert(fc.property(RECIPES, comesBack), { numRuns: samples(500) });
  });
});

describe('what is typed otherwise reads as typed', () => {
  const letters = fc.stringMatching(/^([RLK]{1,4} ){0,3}[RLK]{1,4}$/);

  it('a sticking over a line in cells, moved or not, beginning on beat 1', () => {
    fc.assert(
      fc.property(letters, fc.boolean(), (text, moved) => {
        const recipe: ClosedRecipe = {
          ...blankRecipe(),
          play: { content: { text: '8r 4 4 8 4' } },
          as: startOf('phrase-cells'),
          changes: moved ? CHANGES.slice(0, 1) : [],
        };
        const exercise = must(expand(recipe));
        for (const one of must(retypeLine(recipe, exercise, text))) {
          const said = lineReading(must(expand(one.recipe)));
          expect(said.replaceAll(' ', '')).toBe(text.replaceAll(' ', ''));
        }
      }),
    );
  });

  it('a sticking of another length on a kit that swaps the hands', () => {
    const kit = findShipped('kit', 'left-lead')?.content;
    if (!kit) throw new Error('no kit');
    const recipe: ClosedRecipe = {
      ...blankRecipe(),
      kit: { content: { ...kit, voices: [...kit.voices] } },
      play: { content: stickingStart('RLRL') },
    };
    const [read] = must(retypeLine(recipe, must(expand(recipe)), 'RRL RLK'));
    expect(lineReading(must(expand(read?.recipe ?? recipe)))).toBe('RRL RLK');
  });

  it('one letter changed keeps all other strokes, their place and how loud they are', () => {
    const recipe: ClosedRecipe = {
      ...blankRecipe(),
      play: { content: { text: '8r 4 4 8 4' } },
      as: startOf('phrase-cells'),
    };
    const exercise = must(expand(recipe));
    expect(lineReading(exercise)).toBe('KL RLLK RLLK RL RLLK');
    const [first, second] = must(retypeLine(recipe, exercise, 'KL RLLL RLLK RL RLLK'));
    expect(first?.means).toEqual({ kind: 'by-hand', notes: 1 });
    expect(second?.means).toEqual({ kind: 'as-sticking', text: 'KL RLLL RLLK RL RLLK' });
    const after = must(expand(first?.recipe ?? recipe));
    const changed = played(after).filter((one) => !played(exercise).includes(one));
    expect(changed).toHaveLength(1);
    expect(lineReading(after)).toBe('KL RLLL RLLK RL RLLK');
  });

  it('a voice of a note changed leaves the others', () => {
    const recipe: ClosedRecipe = {
      ...blankRecipe(),
      play: { content: { text: '8 4. 8 4.' } },
      as: startOf('left-triplets'),
      feel: { kind: 'triplets' },
    };
    const exercise = must(expand(recipe));
    const words = lineWords(exercise).map(sayWord);
    const [first = ''] = words;
    const text = [first.replace('S', 'T1'), ...words.slice(1)].join(' ');
    const [read] = must(retypeLine(recipe, exercise, text));
    const after = must(expand(read?.recipe ?? recipe));
    expect(lineReading(after)).toBe(text);
    expect(lineReading(after).split(' ').slice(1)).toEqual(words.slice(1));
  });

  it('a count for one bar alone leaves the others', () => {
    const recipe = { ...blankRecipe(), play: { content: { text: '4 4 4 4 | 4 4 4 4' } } };
    const exercise = must(expand(recipe));
    const [first] = must(retypeCount(recipe, exercise, 'LH', '2: 1 & 3'));
    const after = must(expand(first?.recipe ?? recipe));
    expect(countStrings(after)[0]?.bars).toEqual(['1 2 3 4', '1 & 3']);
    expect(retypeCount(recipe, exercise, 'LH', '3: 1')).toMatchObject({
      issues: [{ code: 'count-bar', bar: 3, bars: 2 }],
    });
    expect(retypeCount(recipe, exercise, 'LH', '1: 1 | 2').ok).toBe(false);
  });

  it('a place without a syllable has a name of its own, and what is nearest is meant', () => {
    const lane = { limb: 'LH', voice: 'snare', slot: '5', grid: 'xx-x-----x----------' } as const;
    const over = { content: { name: 'fives', meter: '4/4', swung: false, lanes: [lane] } };
    const recipe: ClosedRecipe = { ...blankRecipe(), over: [over] };
    const exercise = must(expand(recipe));
    expect(countStrings(exercise)[0]?.bars).toEqual(['1 2/5 4/5 5/5']);
    const [first] = must(retypeCount(recipe, exercise, 'LH', '1 2/5 4/5 4'));
    const after = must(expand(first?.recipe ?? recipe));
    expect(countStrings(after)[0]?.bars).toEqual(['1 2/5 4/5 4']);
    expect(played(after).slice(0, 3)).toEqual(played(exercise).slice(0, 3));
  });
});
