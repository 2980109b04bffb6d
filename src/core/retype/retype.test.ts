import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { ENGLISH, sayIn, sayIssue, sayRetyping } from '@/words';
import { countStrings, lineReading, spokenComposite } from '../analysis';
import { must } from '../issue';
import { findShipped } from '../materials';
import { compositeReadings, stickingStart } from '../sticking';
import { parseMeter, SYLLABLES, SYLLABLES_IDS } from '../time';
import {
  blankRecipe,
  editByHand,
  expand,
  startOf,
  toggleOstinato,
  type ClosedRecipe,
} from '../recipe';
import { retypeComposite, retypeCount, retypeLine } from '.';
import { tidy } from './retyped';

const fourFour = must(parseMeter('4/4'));
const rock = toggleOstinato(blankRecipe(), 'rock-8ths');

function withLine(text: string, as: ClosedRecipe['as']): ClosedRecipe {
  return { ...blankRecipe(), play: { content: { text } }, as };
}

describe('a count typed where it stands', () => {
  it('is what the limb then plays, and reads back as typed', () => {
    const read = must(retypeCount(rock, must(expand(rock)), 'RF', '1 &'));
    const exercise = must(expand(read[0]?.recipe ?? rock));
    const said = countStrings(exercise).find((one) => one.limb === 'RF')?.bars;
    expect(said).toEqual(['1 &']);
    expect(read.length).toBeGreaterThan(1);
  });

  it('gives back any count of 8ths of the bass drum', () => {
    fc.assert(
      fc.property(fc.subarray(['1', '2', '3', '4'], { minLength: 1 }), (beats) => {
        const text = beats.map((beat, index) => (index % 2 ? beat : `${beat} &`)).join(' ');
        const read = must(retypeCount(rock, must(expand(rock)), 'RF', text));
        const said = read.map(({ recipe }) => {
          const found = countStrings(must(expand(recipe))).find((one) => one.limb === 'RF');
          return found?.bars[0];
        });
        expect(said).toContain(text);
      }),
      { numRuns: samples(30) },
    );
  });

  it.each(SYLLABLES_IDS)('in every counting system gives back what is shown: %s', (id) => {
    const syllables = SYLLABLES[id];
    const gallop = toggleOstinato(blankRecipe(), 'rock-16ths');
    for (const recipe of [rock, gallop]) {
      const exercise = must(expand(recipe));
      const shown = (of: typeof exercise) =>
        countStrings(of, syllables).find((one) => one.limb === 'RH')?.bars[0] ?? '';
      const text = shown(exercise);
      const read = must(retypeCount(recipe, exercise, 'RH', text, syllables));
      expect(read.map((one) => shown(must(expand(one.recipe))))).toContain(text);
    }
  });

  it('understands English where another system is chosen', () => {
    const { german } = SYLLABLES;
    const exercise = must(expand(rock));
    const say = sayIn('en-GB', { notes: 'american', syllables: 'german' });
    const bass = (text: string) =>
      must(retypeCount(rock, exercise, 'RF', text, german)).map((one) =>
        sayRetyping(say, one.means, exercise),
      )[0];
    expect(bass('1 und 3 und')).toBe('1, und of 1, 3, und of 3');
    expect(bass('1 & 3 &')).toBe('1, und of 1, 3, und of 3');
  });

  it('with too many bars says how many there are', () => {
    const read = retypeCount(rock, must(expand(rock)), 'RF', '1 | 2 | 3');
    expect(read.ok ? [] : read.issues.map((one) => sayIssue(ENGLISH, one))).toEqual([
      '3 bars are counted, but there is one. Type one bar, or all of them with | between, or one of them alone after its number, as 2: 1 & 3.',
    ]);
  });
});

describe('edits on what is seen', () => {
  const footed: ClosedRecipe = {
    ...toggleOstinato(blankRecipe(), 'bass-quarters'),
    changes: [
      { kind: 'place', to: { limb: 'RF', voice: 'bass' }, slot: '16', grid: '-x--' },
      { kind: 'footing', part: 'all', school: 'grid' },
    ],
  };

  it.each(['full-kit', 'mirrored-kit', 'left-lead', 'open-handed'])(
    'a stroke that footing or the kit gave to another limb is still found: %s',
    (id) => {
      const kit = findShipped('kit', id)?.content;
      if (!kit) throw new Error('no kit');
      const recipe = { ...footed, kit: { content: { ...kit, voices: [...kit.voices] } } };
      const exercise = must(expand(recipe));
      const left = exercise.strokes.find((one) => one.written && one.at > 0) ?? exercise.strokes[1];
      if (!left) throw new Error('nothing plays');
      const edited = must(expand(editByHand(recipe, exercise, [{ from: left, to: null }])));
      expect(edited.stale).toBe(0);
      expect(edited.strokes).toHaveLength(exercise.strokes.length - 1);
      expect(edited.strokes.some((one) => one.at === left.at)).toBe(false);
    },
  );
});

describe('a limb chosen for a stroke', () => {
  it.each(['full-kit', 'mirrored-kit', 'left-lead', 'open-handed'])(
    'is the limb that then plays it, in ostinato and sticking: %s',
    (id) => {
      const kit = findShipped('kit', id)?.content;
      if (!kit) throw new Error('no kit');
      const onKit = { kit: { content: { ...kit, voices: [...kit.voices] } } };
      const sticking = { ...blankRecipe(), play: { content: stickingStart('RLRR LRLL') } };
      for (const recipe of [
        { ...rock, ...onKit },
        { ...sticking, ...onKit },
      ]) {
        const exercise = must(expand(recipe));
        const from = exercise.strokes.find((one) => one.voice === 'snare');
        if (!from) throw new Error('no snare');
        const limb = from.limb === 'RH' ? 'LH' : 'RH';
        const { at, voice, dynamic } = from;
        const to = { at, limb, voice, dynamic, ornament: null } as const;
        const edited = must(expand(editByHand(recipe, exercise, [{ from, to }])));
        expect(edited.strokes).toContainEqual(expect.objectContaining({ at, limb, voice }));
      }
    },
  );
});

describe('compositeReadings', () => {
  it('T L R L is 2 against 3: quarters against quarter triplets', () => {
    const [first] = compositeReadings('TLRL', fourFour);
    expect(first).toMatchObject({ sticking: 'T-LRL-', slot: '8t' });
  });

  it('with the skip note T L R L R', () => {
    const readings = compositeReadings('TLRLR', fourFour);
    expect(readings.map((one) => one.sticking)).toContain('T-LRLR');
  });

  it('composites 3:2 = 2 1 1 2 and 4:3 = 3 1 2 2 1 3 (common practice, no source)', () => {
    const gaps = (sticking: string) => {
      const places = [...sticking].flatMap((letter, slot) => (letter === '-' ? [] : [slot]));
      return places.map((place, index) => (places[index + 1] ?? sticking.length) - place);
    };
    expect(gaps(compositeReadings('TLRL', fourFour)[0]?.sticking ?? '')).toEqual([2, 1, 1, 2]);
    const four = compositeReadings('TRLRLR', fourFour).find((one) => one.sticking.length === 12);
    expect(gaps(four?.sticking ?? '')).toEqual([3, 1, 2, 2, 1, 3]);
  });

  it('every reading reads back as typed', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^T[RLT]{1,5}$/), (letters) => {
        for (const { recipe } of must(
          retypeComposite(rock, must(expand(rock)), ['RH', 'LH'], letters),
        )) {
          const exercise = must(expand(recipe));
          const said = spokenComposite(exercise, ['RH', 'LH']).replaceAll(' ', '');
          const [short = '', long = ''] = [said, letters].toSorted((a, b) => a.length - b.length);
          expect(long.replaceAll(short, '')).toBe('');
        }
      }),
    );
  });
});

describe('what the line became, typed anew', () => {
  it('letters of voices change what each note sounds', () => {
    const recipe = withLine('4. 4 8 4', startOf('short-long'));
    const exercise = must(expand(recipe));
    expect(lineReading(exercise)).toBe('K K S K');
    const [read] = must(retypeLine(recipe, exercise, 'K S S T1'));
    expect(lineReading(must(expand(read?.recipe ?? recipe)))).toBe('K S S T1');
  });

  it('letters that do not match the notes are refused, saying how many there are', () => {
    const recipe = withLine('4. 4 8 4', startOf('short-long'));
    const read = retypeLine(recipe, must(expand(recipe)), 'K S');
    expect(read.ok ? [] : read.issues.map((one) => sayIssue(ENGLISH, one))).toEqual([
      '2 letters for 4 notes. Type one for each note of the line.',
    ]);
  });

  it.each([
    ['KSSSS KSS T1 KSS', 'KSSSS KSS T1 KSS'],
    ['KSSSS KT1S S KSS', 'KSSSS KT1S S KSS'],
    ['KSSSS KSS S KSSS', '13 letters for 12 notes. Type one for each note of the line.'],
    ['KSSSS KSS S KS', '11 letters for 12 notes. Type one for each note of the line.'],
  ])('a note with what fills after it takes as many letters as it has: %s', (typed, said) => {
    const recipe = withLine('4. 4 8 4', startOf('left-triplets'));
    const exercise = must(expand(recipe));
    expect(lineReading(exercise)).toBe('KSSSS KSS S KSS');
    const read = retypeLine(recipe, exercise, typed);
    const now = read.ok
      ? lineReading(must(expand(read.value[0]?.recipe ?? recipe)))
      : read.issues.map((one) => sayIssue(ENGLISH, one)).join();
    expect(now).toBe(said);
  });

  it('a sticking takes the place of the line', () => {
    const recipe = withLine('4. 4 8 4', startOf('phrase-cells'));
    const [read] = must(retypeLine(recipe, must(expand(recipe)), 'RLLK RLLK'));
    expect(lineReading(must(expand(read?.recipe ?? recipe)))).toBe('RLLK RLLK');
  });
});

describe('tidy', () => {
  it.each([
    [' RLLK  RL ', 'RLLK RL'],
    ['\n1 &\t 2', '1 & 2'],
    ['', ''],
  ])('%j is %j', (text, tidied) => expect(tidy(text)).toBe(tidied));
});
