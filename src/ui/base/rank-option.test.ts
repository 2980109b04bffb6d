import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { optionNamed, rankOption } from './rank-option';

/** Names in the order in which they are offered for what is typed. */
function found(typed: string, ...names: string[]): string[] {
  return names
    .map((name) => ({ name, rank: rankOption('', typed, [name]) }))
    .filter(({ rank }) => rank > 0)
    .sort((a, b) => b.rank - a.rank)
    .map(({ name }) => name);
}

describe('what is typed', () => {
  it('finds the name that it is before those that hold it', () => {
    expect(found('rock', 'punk rock', 'rock in 8ths', 'rock')).toEqual([
      ...['rock', 'rock in 8ths', 'punk rock'],
    ]);
  });

  it('finds words in any order, and other words for a thing', () => {
    expect(found('hats ride', 'ride, hats on 2 and 4', 'hats alone')).toEqual([
      'ride, hats on 2 and 4',
    ]);
    expect(
      rankOption('', 'n bars', ['4 bars, the line once', 'place in time n bars']),
    ).toBeGreaterThan(0);
    expect(rankOption('', 'gong', ['ride', 'cymbal'])).toBe(0);
  });

  it('is never beaten by another name when it is a name itself', () => {
    const name = fc.stringMatching(/^[a-z]{1,6}( [a-z0-9]{1,4}){0,2}$/);
    fc.assert(
      fc.property(name, name, (typed, other) => {
        fc.pre(typed !== other);
        expect(rankOption('', typed, [typed])).toBeGreaterThan(rankOption('', typed, [other]));
      }),
    );
  });
});

describe('a name in a list that is typed', () => {
  it('means the option of that very name, not one in which it stands', () => {
    const options = ['shuffle, hats', 'Shuffle', 'half-time shuffle'].map((text) => ({ text }));
    expect(optionNamed(options, 'shuffle')).toBe(options[1]);
    expect(optionNamed(options, 'SHUFFLE, hats')).toBe(options[0]);
    expect(optionNamed(options, 'shuf')).toBeUndefined();
  });
});
