import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Exercise } from '../recipe';
import { quarters } from '../time';
import { difficultyParts, difficultyPoints, motionsOf, smallestPart, transitionsOf } from '.';
import { at, exerciseOf, type Part } from './analysis.fixture';

const hats: Part = ['RH', 'hat', '8', 'xxxxxxxx'];
const backbeat: Part = ['LH', 'snare', '4', '-x-x'];
const bass = (grid: string): Part => ['RF', 'bass', '16', grid];

function points(...parts: readonly Part[]): number {
  const exercise = exerciseOf(parts);
  return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
}

describe('difficultyParts (orderings of common practice, no source)', () => {
  it('hats alone, hats with one more limb, all', () => {
    const one = points(hats);
    const two = points(hats, backbeat);
    const three = points(hats, backbeat, bass('x-------x-------'));
    expect(one).toBeLessThan(two);
    expect(two).toBeLessThan(three);
  });

  it('an extra bass drum under a hat is easier than one between hats', () => {
    const under = points(hats, backbeat, bass('x-----x-x-------'));
    const between = points(hats, backbeat, bass('x------xx-------'));
    expect(under).toBeLessThan(between);
  });

  it('a straight ride is easier than one with a skip note', () => {
    const straight = points(['RH', 'ride', '4', 'xxxx'], ['LF', 'hat-foot', '4', '-x-x']);
    const skip = points(['RH', 'ride', '8t', 'x--x-xx--x-x'], ['LF', 'hat-foot', '4', '-x-x']);
    expect(straight).toBeLessThan(skip);
  });

  it('plain 8ths are easier than the same with diddles', () => {
    const plain = points(['RH', 'snare', '8', 'x-x-x-x-'], ['LH', 'snare', '8', '-x-x-x-x']);
    const diddles = points(
      ['RH', 'snare', '16', 'xx--x---xx--x---'],
      ['LH', 'snare', '16', '--x---x---x---x-'],
    );
    expect(plain).toBeLessThan(diddles);
  });

  it('two grids are harder than one', () => {
    const one = points(['RH', 'ride', '8', 'xxxxxxxx'], ['LH', 'snare', '4', '-x-x']);
    const two = points(['RH', 'ride', '8', 'xxxxxxxx'], ['LH', 'snare', '8t', '---x-x---x-x']);
    expect(one).toBeLessThan(two);
  });

  it('never falls when the tempo rises, and says each part', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 200 }),
        fc.integer({ min: 1, max: 100 }),
        (slow, more) => {
          const exercise = exerciseOf([hats, backbeat, bass('x--x--x---x-x---')]);
          const parts = (tempo: number) => difficultyParts(exercise, at(tempo, exercise));
          expect(difficultyPoints(parts(slow))).toBeLessThanOrEqual(
            difficultyPoints(parts(slow + more)),
          );
          for (const one of parts(slow)) expect(one.says).not.toBe('');
        },
      ),
    );
  });
});

describe('motionsOf (common practice, no source)', () => {
  const letters = (exercise: Exercise) => {
    const both = (['RH', 'LH'] as const).flatMap((limb) => motionsOf(exercise, limb));
    return [...both].sort((a, b) => a.at - b.at).map((one) => one.motion[0]?.toUpperCase());
  };

  it.each([
    ['LRLR at p p p f', '-g-X', 'g-g-', ['T', 'U', 'T', 'D']],
    ['all loud', 'X-X-', '-X-X', ['F', 'F', 'F', 'F']],
    ['all soft', 'g-g-', '-g-g', ['T', 'T', 'T', 'T']],
    ['loud and soft in turn', 'X-g-', '-X-X', ['D', 'F', 'U', 'F']],
  ])('%s', (_, right, left, expected) => {
    const exercise = exerciseOf([
      ['RH', 'snare', '16', right],
      ['LH', 'snare', '16', left],
    ]);
    expect(letters(exercise).slice(0, 4)).toEqual(expected);
  });

  it('has as many ups as downs, round the seam', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[Xg-]{2,16}$/), (grid) => {
        const exercise = exerciseOf([['RH', 'snare', '16', `x${grid}`]]);
        const motions = motionsOf(exercise, 'RH').map((one) => one.motion);
        const count = (motion: string) => motions.filter((one) => one === motion).length;
        expect(count('up')).toBe(count('down'));
      }),
    );
  });
});

describe('smallestPart', () => {
  it('a quarter-note rock beat is two beats of two events (common practice, no source)', () => {
    const exercise = exerciseOf([
      ['RH', 'hat', '4', 'xxxx'],
      ['LH', 'snare', '4', '-x-x'],
      ['RF', 'bass', '4', 'x-x-'],
    ]);
    expect(smallestPart(exercise)).toEqual({ ticks: quarters(2), times: 2, events: 2 });
  });

  it.each([
    ['8', 'xxxxxxxx', quarters(1, 2), 1],
    ['8', 'X-x-X-x-', quarters(2), 2],
    ['8', 'x-xxx-xx', quarters(2), 1],
    ['8', 'x-xxx-x-', quarters(4), 1],
  ] as const)('%s %s', (slot, grid, ticks, events) => {
    expect(smallestPart(exerciseOf([['RH', 'ride', slot, grid]]))).toMatchObject({ ticks, events });
  });

  it('makes the cycle again when it is repeated', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[xX-]{1,8}$/), (grid) => {
        const exercise = exerciseOf([['RH', 'ride', '16', `x${grid}`]]);
        const part = smallestPart(exercise);
        expect(part && part.ticks * part.times).toBe(exercise.cycleTicks);
        expect(part?.ticks).toBeLessThanOrEqual(quarters(grid.length + 1, 4));
      }),
    );
  });
});

describe('transitionsOf', () => {
  it('chains limb sets with their gaps, the seam last', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '4', 'xxxx'],
      ['LF', 'hat-foot', '4', '-x-x'],
    ]);
    const chain = transitionsOf(exercise, at(60, exercise));
    expect(chain.map((one) => `${one.from.join('+')} ${one.to.join('+')}`)).toEqual([
      'RH RH+LF',
      'RH+LF RH',
      'RH RH+LF',
      'RH+LF RH',
    ]);
    expect(chain.map((one) => one.gapMs)).toEqual([1000, 1000, 1000, 1000]);
    expect(chain.map((one) => one.acrossSeam)).toEqual([false, false, false, true]);
  });

  it('the gaps make one cycle', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[x-]{1,12}$/), (grid) => {
        const exercise = exerciseOf([['RF', 'bass', '8t', `x${grid}`]]);
        const tempo = at(60, exercise);
        const sum = transitionsOf(exercise, tempo).reduce((all, one) => all + one.gapMs, 0);
        expect(sum).toBeCloseTo((exercise.cycleTicks / quarters(1)) * 1000, 6);
      }),
    );
  });
});
