import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '@/samples.fixture';
import { ENGLISH, sayCrowdedGraces } from '@/words';
import { gapMsBetween, momentsOf } from '../analysis/instants';
import { must } from '../issue';
import { letterOf } from '../kit';
import { gracesOf, ORNAMENTS } from '../pattern';
import { blankRecipe, expand, toggleOstinato, type Change, type ClosedRecipe } from '../recipe';
import { typedSticking } from '../sticking';
import { bpm, parseMeter, quarters, tempoFor, ticksToSeconds } from '../time';

/** The other 15 slots of a bar. */
const REST = '-'.repeat(15);

const opened: Change = { kind: 'open-graces', slot: '16' };

function play(sticking: string, changes: readonly Change[], over: ClosedRecipe = blankRecipe()) {
  const recipe = { ...over, play: { content: typedSticking(sticking) }, changes: [...changes] };
  return must(expand(recipe));
}

const tempoAt = (number: number) => tempoFor(must(parseMeter('4/4')), bpm(number));

/** Hands on the snare by 16th. */
function snare(sticking: string, changes: readonly Change[], over?: ClosedRecipe): string[] {
  return play(sticking, changes, over).strokes.flatMap(({ at, limb, voice }) =>
    voice === 'snare' ? [`${at / 5040}${letterOf(limb)}`] : [],
  );
}

describe('opening grace notes', () => {
  it.each([
    ['fL', ['0L', '15R']],
    ['dL', ['0L', '14R', '15R']],
    ['uL', ['0L', '14L', '15R']],
    ['UL', ['0L', '13R', '14L', '15R']],
  ])('%s as 16ths is %j (common practice, no source)', (text, expected) => {
    expect(snare(text + REST, [opened])).toEqual(expected);
  });

  it('keeps their number over a groove: what a hand has there gives way', () => {
    const hats = toggleOstinato(blankRecipe(), 'rock-8ths');
    const over = { ...hats, clash: 'merge' } as const;
    const there = '--------UL-------';
    const graces = snare(there, [opened], over).filter((one) =>
      ['5R', '6L', '7R', '8L'].includes(one),
    );
    expect(graces).toEqual(['5R', '6L', '7R', '8L']);
    const { strokes } = play(there, [opened], over);
    for (const { at } of strokes) {
      const right = strokes.filter((one) => one.at === at && one.limb === 'RH');
      expect(right.length).toBeLessThanOrEqual(1);
    }
  });

  it('lie closer where their hand has just played, and say where', () => {
    const content = typedSticking('4: UR UL');
    const asked = { kind: 'open-graces', slot: '8t' } as const;
    const exercise = must(expand({ ...blankRecipe(), play: { content }, changes: [asked] }));
    const beat = exercise.strokes.filter(({ at }) => at >= quarters(1) && at <= quarters(2));
    expect(beat.map(({ at, limb }) => `${at / 5040}${letterOf(limb)}`)).toEqual([
      '4L',
      '5L',
      '6R',
      '7L',
      '8R',
    ]);
    expect(exercise.crowdedGraces.map((at) => at / quarters(1))).toEqual([0, 1, 2, 3]);
    expect(sayCrowdedGraces(ENGLISH, exercise)).toBe(
      'grace notes closer before 1, 2, 3 and 4: no room',
    );
  });

  it('are all there and in order, in any slots, however close notes lie', () => {
    const marks = { f: 1, d: 2, u: 2, U: 3 };
    const note = fc.tuple(fc.constantFrom('', 'f', 'd', 'u', 'U'), fc.constantFrom('R', 'L'));
    fc.assert(
      fc.property(
        fc.constantFrom('4', '8', '16', '32'),
        fc.constantFrom('8t', '16', '16t', '32'),
        fc.array(note, { minLength: 2, maxLength: 8 }),
        (slot, opens, notes) => {
          const text = `${slot}: ${notes.map(([mark, hand]) => mark + hand).join(' ')}`;
          const { strokes, cycleTicks } = play(text, [{ kind: 'open-graces', slot: opens }]);
          const plain = play(text, []);
          expect(plain.cycleTicks).toBe(cycleTicks);
          const times = plain.strokes.length / notes.length;
          const wanted = notes.reduce((sum, [mark]) => sum + 1 + (marks[mark as 'f'] ?? 0), 0);
          const places = new Set(strokes.map(({ at, limb }) => `${at} ${limb}`));
          expect(places.size).toBe(wanted * times);
        },
      ),
      { numRuns: samples(300) },
    );
  });

  it('gives as many notes as the ornament has, whatever it is and wherever it lies', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          ...ORNAMENTS.filter((one) => gracesOf({ ornament: one, limb: 'LH' }).length > 0),
        ),
        fc.nat(15),
        (ornament, place) => {
          const mark = { flam: 'f', drag: 'd', ruff: 'u', ruff4: 'U' }[ornament as 'flam'];
          const text = `${'-'.repeat(place)}${mark}L${'-'.repeat(15 - place)}`;
          const graces = gracesOf({ ornament, limb: 'LH' }).length;
          expect(snare(text, [opened])).toHaveLength(graces + 1);
        },
      ),
    );
  });
});

describe('the width of grace notes', () => {
  const before = (ms?: number) =>
    momentsOf(
      play(`UL${REST}`, ms === undefined ? [] : [{ kind: 'grace-width', ms }]),
      null,
    ).flatMap(({ ms: late }) => (late < 0 ? [late] : []));

  it('is seen wherever movements are counted, one to the next', () => {
    expect(before(12).sort((a, b) => a - b)).toEqual([-36, -24, -12]);
    expect(before().sort((a, b) => a - b)).toEqual([-90, -60, -30]);
  });
});

describe('grace notes that reach behind a note before', () => {
  it('come before it: a four-stroke ruff a 32nd after the bass drum, at 120', () => {
    const chain = momentsOf(play(`32: ${'-'.repeat(30)}KUR`, []), tempoAt(120));
    const [kick] = chain.filter(({ strokes: [one] }) => one?.limb === 'RF');
    const from = chain.indexOf(kick ?? chain[0]!);
    expect(
      chain.slice(from - 1, from + 4).map(({ limbs }) => limbs.map(letterOf).join('')),
    ).toEqual(['L', 'K', 'R', 'L', 'R']);
  });

  it('are in order of time at any tempo, over the seam too: all gaps make one cycle', () => {
    const note = fc.constantFrom('K', 'UR', 'UL', 'uR', 'dL', 'fR', 'R', 'L', '-');
    fc.assert(
      fc.property(
        fc.array(note, { minLength: 2, maxLength: 9 }),
        fc.integer({ min: 40, max: 200 }),
        (notes, bpmOf) => {
          fc.pre(notes.some((one) => one !== '-'));
          const exercise = play(`32: ${notes.join(' ')}`, []);
          const tempo = tempoAt(bpmOf);
          const chain = momentsOf(exercise, tempo);
          const gaps = chain.map((one, index) =>
            gapMsBetween(one, chain[(index + 1) % chain.length] ?? one, exercise, tempo),
          );
          const whole = ticksToSeconds(exercise.cycleTicks, tempo) * 1000;
          expect(gaps.reduce((sum, gap) => sum + gap, 0)).toBeCloseTo(whole, 3);
        },
      ),
      { numRuns: samples(300) },
    );
  });
});
