import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue } from '@/words';
import { must } from '../issue';
import { letterOf } from '../kit';
import { formatGrid, type GridSlot, type Stroke } from '../pattern';
import { lineTicks, parseLine } from '../reading';
import { parseMeter, quarters, slotTicks, tick, type SubdivisionId } from '../time';
import { interpret, type OptionsOf } from '.';
import { gridPlace } from './grid-place';

const fourFour = must(parseMeter('4/4'));

const accents: OptionsOf<'accent-grid'> = {
  kind: 'accent-grid',
  grid: '16',
  sticking: 'RL',
  voice: 'snare',
  doubled: false,
};

const leftTriplets: OptionsOf<'line-fill'> = {
  kind: 'line-fill',
  short: [{ limb: 'LH', voice: 'snare' }],
  long: [{ limb: 'RF', voice: 'bass' }],
  longFrom: '4',
  fill: { limb: 'LH', voice: 'snare' },
  grid: '8t',
};

function play(
  text: string,
  options: OptionsOf<'accent-grid'> | OptionsOf<'line-fill'>,
): readonly Stroke[] {
  return must(interpret(must(parseLine(text, fourFour)), options));
}

/** One letter a slot; the bass drum is K. */
function grid(strokes: readonly Stroke[], slot: SubdivisionId): string {
  const slots: (GridSlot | 'K')[] = Array.from(
    { length: quarters(4) / slotTicks(slot) },
    () => null,
  );
  for (const stroke of strokes) {
    slots[stroke.at / slotTicks(slot)] = stroke.voice === 'bass' ? 'K' : stroke.dynamic;
  }
  return slots.map((one) => (one === 'K' ? 'K' : formatGrid([one]))).join('');
}

/** Lines of 8ths and quarters that fill a bar of 4/4. */
const lineOf8ths = fc
  .array(fc.boolean(), { minLength: 8, maxLength: 8 })
  .filter((hits) => hits.some(Boolean))
  .map((hits) => hits.map((hit) => (hit ? '8' : '8r')).join(' '));

describe('accents in a filled grid (common practice, no source)', () => {
  it.each([
    ['4. 4 8 4', '8t', 'XggggXggXXgg'],
    ['4. 4 8 4', '16', 'XgggggXgggXgXggg'],
    ['8r 4. 8r 4.', '8t', 'ggXgggggXggg'],
    ['16 8 16 4 16 8 16 4', '16', 'XXgXXgggXXgXXggg'],
  ] as const)('%s in %s is %s', (text, slot, expected) => {
    expect(grid(play(text, { ...accents, grid: slot }), slot)).toBe(expected);
  });

  it.each([
    ['RL', 'RLRLRLRLRLRL'],
    ['RLRRLRLL', 'RLRRLRLLRLRR'],
    ['RLL', 'RLLRLLRLLRLL'],
  ])('goes round the sticking %s', (sticking, expected) => {
    const strokes = play('4. 4 8 4', { ...accents, grid: '8t', sticking });
    expect(strokes.map((one) => letterOf(one.limb)).join('')).toBe(expected);
  });

  it('doubles what is not accented, by the same hand', () => {
    const strokes = play('2 2', { ...accents, grid: '4', doubled: true });
    expect(
      strokes.map((one) => [one.at / quarters(1, 2), letterOf(one.limb), one.dynamic]),
    ).toEqual([
      [0, 'R', 'accent'],
      [2, 'L', 'ghost'],
      [3, 'L', 'ghost'],
      [4, 'R', 'accent'],
      [6, 'L', 'ghost'],
      [7, 'L', 'ghost'],
    ]);
  });

  it('names the note that falls between the slots', () => {
    const answer = interpret(must(parseLine('8. 16 2.', fourFour)), { ...accents, grid: '8' });
    expect(answer).toMatchObject({
      issues: [{ code: 'onset-off-grid', bar: 1, at: 15120, meter: '4/4', grid: '8' }],
    });
    expect(answer.ok ? '' : answer.issues.map((one) => sayIssue(ENGLISH, one)).join()).toContain(
      'Bar 1, a of 1: this note falls between the 8ths.',
    );
  });

  it('plays every slot once and accents exactly the line', () => {
    fc.assert(
      fc.property(
        lineOf8ths,
        fc.constantFrom('8' as const, '16' as const, '8t' as const),
        (text, slot) => {
          const strokes = play(text, { ...accents, grid: slot });
          expect(strokes).toHaveLength(quarters(4) / slotTicks(slot));
          const loud = strokes.filter((one) => one.dynamic === 'accent');
          expect(loud).toHaveLength(text.split(' ').filter((one) => one === '8').length);
        },
      ),
    );
  });
});

describe('line and fill (common practice, no source)', () => {
  it('left-hand triplets around short and long: 8 4. 8 4. is XgKgggXgKggg', () => {
    expect(grid(play('8 4. 8 4.', leftTriplets), '8t')).toBe('XgKgggXgKggg');
  });

  it('one hand against the other', () => {
    const right = { limb: 'RH', voice: 'snare' } as const;
    const options = { ...leftTriplets, short: [right], long: [right], grid: '8' as const };
    const strokes = [...play('4. 4 8 4', options)].sort((a, b) => a.at - b.at);
    expect(strokes.map((one) => letterOf(one.limb)).join('')).toBe('RLLRLRRL');
  });

  it('the line doubled by cymbal and bass drum', () => {
    const pair = [
      { limb: 'RH', voice: 'crash' },
      { limb: 'RF', voice: 'bass' },
    ] as const;
    const options = { ...leftTriplets, short: pair, long: pair, grid: '8' as const };
    const strokes = play('4. 4 8 4', options);
    const at = (voice: string) =>
      strokes.filter((one) => one.voice === voice).map((one) => one.at / quarters(1, 2));
    expect(at('crash')).toEqual([0, 3, 5, 6]);
    expect(at('bass')).toEqual([0, 3, 5, 6]);
    expect(at('snare')).toEqual([1, 2, 4, 7]);
  });

  it('line and fill share no slot and leave none', () => {
    fc.assert(
      fc.property(
        lineOf8ths,
        fc.constantFrom('8' as const, '16' as const, '8t' as const),
        (text, slot) => {
          const line = must(parseLine(text, fourFour));
          const strokes = must(interpret(line, { ...leftTriplets, grid: slot }));
          const places = strokes.map((one) => one.at);
          expect(new Set(places).size).toBe(places.length);
          expect(places).toHaveLength(lineTicks(line) / slotTicks(slot));
        },
      ),
    );
  });
});

describe('gridPlace', () => {
  it.each([
    [0, '8t', 0],
    [quarters(1, 2), '8t', quarters(2, 3)],
    [quarters(3, 2), '8t', quarters(5, 3)],
    [quarters(1, 3), '8t', quarters(1, 3)],
    [quarters(1, 4), '8t', null],
    [quarters(1, 4), '16', quarters(1, 4)],
    [quarters(1, 2), '4', null],
  ] as const)('%i on %s is %s', (at, slot, expected) => {
    expect(gridPlace({ at: tick(at), slot: quarters(1, 4) }, slot)).toBe(expected);
  });
});

describe('what fills around a line', () => {
  it.each(['8 4. 8 4.', '4r 4 8 4.', '2 4 4 | 4. 8 2'])(
    'knows how far it is from the note before, or from the start: %s',
    (text) => {
      const strokes = play(text, leftTriplets);
      const fills = strokes.filter(({ from }) => from.source === 'fill');
      expect(fills.length).toBeGreaterThan(3);
      for (const { at, from } of fills) {
        const before = strokes.filter((one) => one.from.source === 'line' && one.at < at);
        const expected = at - Math.max(0, ...before.map((one) => one.at));
        expect(from.source === 'fill' && from.offset).toBe(expected);
      }
    },
  );
});
