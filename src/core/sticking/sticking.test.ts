import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue } from '@/words';
import { leadsOf, readBack } from '../analysis';
import { at } from '../analysis/analysis.fixture';
import { must } from '../issue';
import { blankRecipe, expand, MOST_BARS } from '../recipe';
import { lcm, parseMeter, quarters, type SubdivisionId } from '../time';
import {
  fittings,
  looksSticking,
  nextLead,
  parsePhrase,
  stickingLayer,
  stickingStart,
  typedSticking,
  type Sticking,
} from '.';

const fourFour = must(parseMeter('4/4'));

function sticking(text: string, more: Partial<Sticking> = {}): Sticking {
  return { ...stickingStart(text), ...more };
}

function exercise(text: string, more: Partial<Sticking> = {}) {
  return must(expand({ ...blankRecipe(), play: { content: sticking(text, more) } }));
}

describe('a cell over another subdivision (common practice, no source)', () => {
  it.each([
    ['16', 3],
    ['8', 3],
    ['8t', 1],
  ] as [SubdivisionId, number][])('three over %s realigns after %i bars', (slot, bars) => {
    expect(exercise('RLL', { slot }).bars).toBe(bars);
  });

  it('may change subdivision on the way', () => {
    const layer = must(stickingLayer(sticking('RLRL 8t: RLL RLL RLL'), fourFour));
    expect(layer.lengthTicks).toBe(quarters(4));
    expect(layer.strokes.map((one) => one.at).slice(3, 6)).toEqual([
      quarters(3, 4),
      quarters(1),
      quarters(4, 3),
    ]);
  });
});

describe('chains and their lead (common practice, no source)', () => {
  it('four RLL and one RLRR fill 16 and hand over to the left', () => {
    const chain = exercise('RLL RLL RLL RLL RLRR');
    expect(chain.bars).toBe(1);
    expect(nextLead('RLLRLLRLLRLLRLRR')).toBe('L');
    expect(leadsOf(chain)).toMatchObject({ cells: ['R', 'R', 'R', 'R', 'R'], next: 'L' });
  });

  it('changing sides plays the mirrored chain after it', () => {
    const both = exercise('RLL RLL RLL RLL RLRR', { sides: 'hand over' });
    expect(both.bars).toBe(2);
    expect(readBack(both, at(60, both)).line).toBe('RLL RLL RLL RLL RLRR LRR LRR LRR LRR LRLL');
  });

  it('RLL in one bar of 16ths is fitted with R, or with RLRR, which changes sides', () => {
    const one = fittings('RLL', '16', fourFour).filter((fitting) => fitting.bars === 1);
    expect(one).toContainEqual({ bars: 1, repeats: 5, ending: 'R', next: 'L' });
    expect(one.every(({ repeats, ending }) => repeats * 3 + ending.length === 16)).toBe(true);
    expect(new Set(one.map(({ next }) => next))).toEqual(new Set(['R', 'L']));
    const fitted = exercise('RLL', { bars: 1, ending: 'RLRR' });
    expect(readBack(fitted, at(60, fitted)).line).toBe('RLL RLL RLL RLL RLRR');
  });

  it('an ending of another length is refused, with the length that fits', () => {
    const refused = expand({
      ...blankRecipe(),
      play: { content: sticking('RLL', { bars: 1, ending: 'RL' }) },
    });
    expect(refused.ok ? [] : refused.issues.map((one) => sayIssue(ENGLISH, one))).toEqual([
      'The ending RL does not fill the bar: 1 slot is left. Choose an ending of that length, or the full cycle.',
    ]);
  });
});

describe('stickings typed and read back', () => {
  const cell = fc.stringMatching(
    /^(>?[fduz]?[RLKFT])((>?[fduz]?[RLKFT]|-){0,6}>?[fduz]?[RLKFT])?$/,
  );

  it('give the typed text', () => {
    fc.assert(
      fc.property(fc.array(cell, { minLength: 1, maxLength: 4 }), (cells) => {
        const text = cells.join(' ');
        const slots = must(parsePhrase(text, '16')).slots.length;
        fc.pre(lcm(slots, 16) / 16 <= MOST_BARS);
        const made = must(expand({ ...blankRecipe(), play: { content: sticking(text) } }));
        expect(readBack(made, at(60, made)).line).toBe(text);
      }),
    );
  });

  it.each([
    ['RLLK RL', true],
    ['T L R L', true],
    ['RLRL 8t: RLL', true],
    ['4. 4 8 4', false],
    ['', false],
    ['RLX', false],
    ['16: fR gL R R', true],
    ['dotted quarter, quarter', false],
  ])('“%s” is a sticking: %s', (text, is) => expect(looksSticking(text)).toBe(is));

  it('a letter that is no limb is named with its place', () => {
    expect(parsePhrase('RLXK', '16')).toMatchObject({
      ok: false,
      issues: [{ code: 'sticking-token', token: 'X', at: 2 }],
    });
  });
});

describe('typedSticking', () => {
  it('accents what is marked, and nothing else', () => {
    const dynamics = (text: string) =>
      must(stickingLayer(typedSticking(text), fourFour)).strokes.map(({ dynamic }) => dynamic);
    expect(new Set(dynamics('RLRR LRLL'))).toEqual(new Set(['normal']));
    expect(dynamics('>RLRR L>RLL')).toEqual([
      ...['accent', 'normal', 'normal', 'normal'],
      ...['normal', 'accent', 'normal', 'normal'],
    ]);
  });
});
