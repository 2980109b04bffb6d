import { BaseN } from 'js-combinatorics';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue } from '@/words';
import { must } from '../issue';
import { letterOf } from '../kit';
import type { Layer, Stroke } from '../pattern';
import { parseLine } from '../reading';
import { parseMeter, quarters, tick } from '../time';
import {
  cellAlternates,
  cellFor,
  interpret,
  settleClaims,
  USUAL_CELLS,
  type InterpretationOptions,
  type OptionsOf,
  LIMB_POLICIES,
} from '.';
import type { LimbPolicy } from './claims';

const fourFour = must(parseMeter('4/4'));
const sixteenth = quarters(1, 4);
const cells: OptionsOf<'phrase-cells'> = {
  kind: 'phrase-cells',
  cells: USUAL_CELLS,
  chosen: {},
  voices: { R: 'snare', L: 'snare', K: 'bass', F: 'hat-foot' },
  accentLastOfSix: false,
};
const shortLong: OptionsOf<'short-long'> = {
  kind: 'short-long',
  short: { limb: 'LH', voice: 'snare' },
  long: { limb: 'RF', voice: 'bass' },
  longFrom: '4',
};

function play(text: string, options: InterpretationOptions): readonly Stroke[] {
  return [...must(interpret(must(parseLine(text, fourFour)), options))].sort((a, b) => a.at - b.at);
}

function voices(text: string, options: InterpretationOptions): string {
  return play(text, options)
    .map((stroke) => (stroke.voice === 'bass' ? 'K' : 'S'))
    .join(' ');
}

describe('verbatim', () => {
  it('puts every attack on one limb', () => {
    const strokes = play('4. 4 8 4', { kind: 'verbatim', on: { limb: 'LF', voice: 'bass' } });
    expect(strokes.map((s) => s.at / sixteenth)).toEqual([0, 6, 10, 12]);
    expect(strokes.every((s) => s.limb === 'LF' && s.voice === 'bass')).toBe(true);
  });
});

describe('short / long (common practice, no source)', () => {
  it.each([
    ['4. 4 8 4', 'K K S K'],
    ['8 4. 8 4.', 'S K S K'],
    ['4 8r 8~4 8 8', 'K K S S'],
    ['8 8r 4 8. 16 4', 'S K S S K'],
    ['3(8 8 8) 3(4 4 4) 4', 'S S S K K K K'],
  ])('%s reads %s', (text, expected) => {
    expect(voices(text, shortLong)).toBe(expected);
  });

  it('moves its threshold', () => {
    expect(voices('8 8 4 2', { ...shortLong, longFrom: '8' })).toBe('K K K K');
  });
});

describe('phrase cells by gap (common practice, no source)', () => {
  const letters = (text: string) =>
    play(text, cells)
      .map((stroke) => letterOf(stroke.limb))
      .join('');

  it('4. 4 8 4 reads RLLKKL RLLK RL RLLK', () => {
    expect(letters('4. 4 8 4')).toBe('RLLKKLRLLKRLRLLK');
  });

  it('8r 4 4 8 4 wraps its last cell; the tail is silent the first time', () => {
    expect(letters('8r 4 4 8 4')).toBe('KLRLLKRLLKRLRLLK');
    const tails = play('8r 4 4 8 4', cells).filter((stroke) => stroke.tail);
    expect(tails.map((stroke) => stroke.at / sixteenth)).toEqual([0, 1]);
  });

  it('accents the lead, ghosts the fill of the hands', () => {
    expect(
      play('2 2', cells)
        .slice(0, 4)
        .map((s) => s.dynamic),
    ).toEqual(['accent', 'ghost', 'ghost', 'normal']);
    const six = play('4. 4. 4', { ...cells, accentLastOfSix: true });
    expect(six[5]).toMatchObject({ limb: 'LH', dynamic: 'accent' });
  });

  it('fills every slot of the line once', () => {
    for (const text of ['4. 4 8 4', '8r 4 4 8 4', '2 2', '16 8. 4 4~8 8']) {
      expect(play(text, cells).map((s) => s.at / sixteenth)).toEqual(
        Array.from({ length: 16 }, (_, i) => i),
      );
    }
  });

  it('a gap without a cell names bar and slot and proposes cells of that length', () => {
    const line = must(parseLine('4 4 4 4 | 4.~16 16 4 4', fourFour));
    const result = interpret(line, cells);
    expect(result).toMatchObject({
      issues: [{ code: 'gap-without-cell', bar: 2, slot: 0, gap: 7 }],
    });
    const text = result.ok ? '' : result.issues.map((one) => sayIssue(ENGLISH, one)).join();
    expect(text).toBe(
      'Bar 2, slot 0 (1): the next note is 7 16ths away and no cell has that length. Take RLLKKLK, RLLKKLL, RLLKLKK, or shorten the gap.',
    );
    const chosen = { ...cells, chosen: { 7: 'RLLKLKL' } };
    expect(cellFor(7, chosen)).toBe('RLLKLKL');
    expect(interpret(line, chosen).ok).toBe(true);
  });

  it('a cell of the wrong length and a note off the grid are issues', () => {
    const line = must(parseLine('2 2', fourFour));
    expect(interpret(line, { ...cells, chosen: { 8: 'RLL' } })).toMatchObject({
      issues: [{ code: 'cell-length', gap: 8 }, {}],
    });
    const triplets = must(parseLine('3(8 8 8) 4 2', fourFour));
    expect(interpret(triplets, cells)).toMatchObject({
      issues: [{ code: 'gap-off-grid' }, {}, {}],
    });
  });
});

describe('cellAlternates', () => {
  it('are 1, 2, 3, 5, 8, 13, 21 for lengths 4 to 10', () => {
    expect([4, 5, 6, 7, 8, 9, 10].map((gap) => cellAlternates(gap).length)).toEqual([
      1, 2, 3, 5, 8, 13, 21,
    ]);
  });

  it('are all words over L and K after RLLK without three alike (words by js-combinatorics)', () => {
    for (let gap = 5; gap <= 12; gap += 1) {
      const words = [...new BaseN(['K', 'L'], gap - 4)].map((tail) => `RLLK${tail.join('')}`);
      const allowed = words.filter((cell) => !/LLL|KKK/.test(cell));
      expect([...cellAlternates(gap)].sort()).toEqual(allowed.sort());
    }
  });

  it('hold the usual cells, and can be kept to those that exit on the left', () => {
    for (const [gap, cell] of Object.entries(USUAL_CELLS.cells)) {
      if (Number(gap) >= 4) expect(cellAlternates(Number(gap))).toContain(cell);
    }
    expect(cellAlternates(6, 'left')).toEqual(['RLLKKL', 'RLLKLL']);
  });
});

describe('settleClaims', () => {
  const stroke = (limb: Stroke['limb'], slot: number, dynamic: Stroke['dynamic']): Stroke => ({
    at: tick(slot * sixteenth),
    limb,
    voice: limb === 'RF' ? 'bass' : 'snare',
    dynamic,
    from: { source: 'over', ostinato: 0, slot },
  });
  const layer = (role: Layer['role'], ...strokes: Stroke[]): Layer => ({
    role,
    name: role === 'over' ? 'samba feet' : 'line 5',
    lengthTicks: quarters(4),
    strokes,
  });
  const over = [layer('over', stroke('RF', 0, 'ghost'), stroke('RF', 4, 'accent'))];
  const line = layer(
    'line',
    stroke('RF', 0, 'normal'),
    stroke('RF', 4, 'normal'),
    stroke('LH', 8, 'normal'),
  );
  const stretch = { from: 0, every: quarters(4), ticks: quarters(4) };
  const settle = (policy: LimbPolicy, on = line, groove = over) =>
    settleClaims(groove, on, { stretch, claims: ['LH', 'RF'], policy, by: 'short-long' });

  it.each(['limbs', 'throughout'] as const)('%s: what the line takes rests', (policy) => {
    const settled = must(settle(policy));
    expect(settled.over.flatMap((one) => one.strokes)).toEqual([]);
    expect(settled.line).toEqual(line);
    expect(settled.shared).toEqual(['RF']);
  });

  it('merge: the louder wins at one instant', () => {
    const settled = must(settle('merge'));
    expect(settled.over.flatMap((one) => one.strokes).map((s) => s.at / sixteenth)).toEqual([4]);
    expect(settled.line.strokes.map((s) => s.at / sixteenth)).toEqual([0, 8]);
  });

  it('refuse: says which limb, and what to do', () => {
    const refused = settle('refuse');
    expect(refused.ok ? '' : refused.issues.map((one) => sayIssue(ENGLISH, one)).join()).toBe(
      'samba feet and short / long both need the right foot. Let the groove rest, merge them, or choose another limb.',
    );
  });

  it('is about the time in which the phrase sounds, each time it comes', () => {
    const feet = layer('over', ...[0, 4, 8, 12].map((slot) => stroke('RF', slot, 'normal')));
    const ride = layer('over', ...[0, 4, 8, 12].map((slot) => stroke('RH', slot, 'normal')));
    const fill = layer('line', stroke('RF', 7, 'normal'), stroke('LH', 8, 'normal'));
    const left = (policy: LimbPolicy) =>
      must(settle(policy, fill, [feet, ride])).over.map((one) =>
        one.strokes.map(({ at }) => at / sixteenth),
      );
    expect(left('limbs')).toEqual([
      [0, 4, 12],
      [0, 4, 8, 12],
    ]);
    expect(left('groove')).toEqual([
      [0, 4, 12],
      [0, 4, 12],
    ]);
    expect(left('throughout')).toEqual([[], [0, 4, 8, 12]]);
  });

  it('a phrase over the seam leaves the middle alone', () => {
    const feet = layer('over', ...[0, 4, 8, 12].map((slot) => stroke('RF', slot, 'normal')));
    const pickup = layer('line', stroke('RF', 0, 'accent'), stroke('RF', 15, 'normal'));
    const over = { from: 14 * sixteenth, every: quarters(4), ticks: 4 * sixteenth };
    const settled = settleClaims([feet], pickup, {
      stretch: over,
      claims: ['RF'],
      policy: 'limbs',
      by: 'sticking',
    });
    expect(must(settled).over[0]?.strokes.map(({ at }) => at / sixteenth)).toEqual([4, 8, 12]);
  });

  it('no shared limb: nothing changes under any policy', () => {
    const hands = layer('line', stroke('LH', 0, 'normal'), stroke('LH', 8, 'normal'));
    for (const policy of LIMB_POLICIES) {
      if (policy === 'throughout') continue;
      expect(must(settle(policy, hands))).toEqual({ over, line: hands, shared: [] });
    }
  });
});
