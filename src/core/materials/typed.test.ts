import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue, sayLanes } from '@/words';
import { countStrings } from '../analysis';
import { exerciseOf } from '../analysis/analysis.fixture';
import { must } from '../issue';
import { blankRecipe, editByHand, expand, toggleOstinato } from '../recipe';
import { parseMeter } from '../time';
import { ostinatoOf, readOstinato } from '.';

const fourFour = must(parseMeter('4/4'));

function says(text: string): readonly string[] {
  return must(readOstinato(text, fourFour)).map((one) => sayLanes(ENGLISH, one.lanes));
}

function counted(text: string): readonly string[] {
  const [first] = must(readOstinato(text, fourFour));
  if (!first) throw new Error('no reading');
  const { name, meter, swung, lanes } = first;
  const over = [{ content: { name, meter, swung, lanes: [...lanes] } }];
  const exercise = must(expand({ ...blankRecipe(), over }));
  return countStrings(exercise).map(({ limb, bars }) => `${limb}: ${bars.join(' | ')}`);
}

describe('readOstinato', () => {
  it('reads a count of several bars, with bar lines between', () => {
    const [two] = must(readOstinato('K: 1 3 | 1 & 3 |', fourFour));
    expect(two?.lanes).toEqual([
      { limb: 'RF', voice: 'bass', slot: '8', grid: 'x---x---xx--x---' },
    ]);
    const [rest] = must(readOstinato('K: 1 | | 3', fourFour));
    expect(rest?.lanes[0]?.grid).toBe('x---------x-');
  });

  it.each([
    ['K: x--x--x-', 'bass drum: x--x--x- in 8ths'],
    ['F: -x-x', 'hi-hat foot: -x-x in quarters'],
    ['ride: x--x-xx--x-x', 'ride, RH: x--x-xx--x-x in 8th triplets'],
    ['S: ----X-------X---', 'snare, LH: ----X-------X--- in 16ths'],
    ['LF bass drum: x-x-x-x-', 'bass drum, LF: x-x-x-x- in 8ths'],
    ['K: 1 & 3 &', 'bass drum: xx--xx-- in 8ths'],
    ['K: 1 2a 3 4a', 'bass drum: x------xx------x in 16ths'],
    ['C: 1 2 let 3 4 let', 'ride, RH: x--x-xx--x-x in 8th triplets'],
  ])('%s is %s', (text, expected) => {
    expect(says(text)[0]).toBe(expected);
  });

  it('reads several parts at once', () => {
    expect(counted('K: 1 3; S: 2 4; H: xxxxxxxx')).toEqual([
      'RH: 1 & 2 & 3 & 4 &',
      'LH: 2 4',
      'RF: 1 3',
    ]);
  });

  it('a cell that fills no bar lists the grids it may go over', () => {
    expect(says('K: x--').slice(0, 3)).toEqual([
      'bass drum: x-- in 16ths',
      'bass drum: x-- in 8ths',
      'bass drum: x-- in 8th triplets',
    ]);
  });

  it('syllables that several beats may own list their readings, and the beat before them decides', () => {
    expect(says('K: 1 & & 4').length).toBeGreaterThan(1);
    expect(says('K: 1 2& 3& 4')).toEqual(['bass drum: x--x-xx- in 8ths']);
  });

  it.each([
    ['x-x-', 'Who plays it?'],
    ['zither: x-x-', '“zither” is neither a limb nor a voice.'],
    ['K:', 'Nothing is played after the colon.'],
    ['K: 1 5', '“5” is not counted there. Use beats 1 to 4'],
    ['K: 3 1', '“1” is not counted there.'],
    ['K: 1 uh', '“uh” is not counted there.'],
  ])('%s is refused: %s', (text, expected) => {
    const answer = readOstinato(text, fourFour);
    expect(answer.ok ? '' : answer.issues.map((one) => sayIssue(ENGLISH, one)).join(' ')).toContain(
      expected,
    );
  });

  it('what is read back can be typed, and some reading of it reads back the same', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[x-]{16}$/).filter((grid) => grid.includes('x')),
        (grid) => {
          const [back = ''] = counted(`K: ${grid}`);
          const typed = back.replace('RF:', 'K:');
          expect(counted(typed)).toEqual([back]);
        },
      ),
    );
  });
});

describe('what is written as an ostinato', () => {
  it('keeps every note, also after a beat of another subdivision', () => {
    const grid = (length: number) => fc.stringMatching(new RegExp(`^[xXg-]{${length}}$`));
    fc.assert(
      fc.property(grid(8), grid(6), (binary, triplets) => {
        fc.pre(/[xXg]/.test(binary + triplets));
        const played = exerciseOf([['RH', 'ride', '16', `${binary} 8t: ${triplets}`]]);
        const made = ostinatoOf(played, 'again');
        if (!made) throw new Error('not made');
        const content = { ...made, lanes: [...made.lanes] };
        const again = must(expand({ ...blankRecipe(), over: [{ content }] }));
        const sounds = (of: typeof again) => of.strokes.map((one) => `${one.at} ${one.dynamic}`);
        expect(sounds(again)).toEqual(sounds(played));
      }),
    );
  });

  it('keeps ornaments and textures, slot by slot, and repeats only what is the same', () => {
    const groove = toggleOstinato(blankRecipe(), 'rock-8ths');
    const plain = must(expand(groove));
    const [first] = plain.strokes.filter((one) => one.voice === 'snare');
    if (!first) throw new Error('no snare');
    const { at, limb, voice, dynamic } = first;
    const to = { at, limb, voice, dynamic, ornament: 'flam' as const, texture: 'butt' as const };
    const written = must(expand(editByHand(groove, plain, [{ from: first, to }])));
    const made = ostinatoOf(written, 'with a flam');
    if (!made) throw new Error('not made');
    const content = { ...made, lanes: [...made.lanes] };
    const again = must(expand({ ...blankRecipe(), over: [{ content }] }));
    const sounds = (of: typeof again) =>
      of.strokes.map(
        (one) => `${one.at} ${one.voice} ${one.dynamic} ${one.ornament} ${one.texture}`,
      );
    expect(sounds(again)).toEqual(sounds(written));
    expect(made.lanes.find((lane) => lane.voice === 'snare')?.marks).toEqual([
      { slot: expect.any(Number) as number, ornament: 'flam', texture: 'butt' },
    ]);
    expect(made.lanes.find((lane) => lane.voice === 'hat')?.marks).toBeUndefined();
  });
});
