import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { parseMeter } from '../time';
import { barLineIssues, gridsIn, inGrid, looksSticking, parsePhrase } from '.';

const meter = must(parseMeter('4/4'));
const said = (text: string) => must(parsePhrase(text, '16')).cells.join(' ');

describe('a repeat sign', () => {
  it.each([
    ['RLL x4 RLRR', 'RLL RLL RLL RLL RLRR'],
    ['(RLLK RL) x2 RR', 'RLLK RL RLLK RL RR'],
    ['R L R L | x2', 'R L R L R L R L'],
    ['RL x1', 'RL'],
  ])('%s is %s', (text, all) => {
    expect(said(text)).toBe(all);
    expect(looksSticking(text)).toBe(true);
  });

  it('four RLL and one RLRR fill a bar of 16ths (common practice, no source)', () => {
    expect(must(parsePhrase('RLL x4 RLRR', '16')).slots).toHaveLength(16);
  });
});

describe('grids', () => {
  it.each([
    ['RLRL', ['16']],
    ['8t: RLL RLL', ['8t']],
    ['RLRL 6: RLLRLL 5: RLRLL', ['16', '16t', '5']],
    ['16t: RLLRLL | 16t: RLLRLL', ['16t']],
  ] as const)('of %s are those in force: %j', (text, grids) => {
    expect(gridsIn(text, '16')).toEqual(grids);
  });

  it('are set anew in place of the one that is typed', () => {
    expect(inGrid('8t: RLL', '16t')).toEqual({ sticking: 'RLL', slot: '16t' });
    expect(inGrid('RLRL 8t: RLL', '8')).toEqual({ sticking: 'RLRL 8t: RLL', slot: '8' });
  });
});

describe('a bar line', () => {
  it('between whole bars is right, and so is one at the end', () => {
    expect(barLineIssues('RLRL x4 | RLRL x4 |', '16', meter)).toEqual([]);
    expect(barLineIssues('RLRL RLRL 8t: RLL RLL | RLRL', '16', meter)).toEqual([]);
    expect(barLineIssues('RLL RL', '16', meter)).toEqual([]);
  });

  it('elsewhere is refused with its place', () => {
    expect(barLineIssues('RLRL x4 | RLRL x3 RLR | RL', '16', meter)).toEqual([
      { code: 'sticking-bar', path: ['play'], bar: 2, grid: '16', got: 15, wanted: 16 },
    ]);
  });
});
