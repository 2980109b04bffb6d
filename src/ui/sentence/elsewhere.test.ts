import { describe, expect, it } from 'vitest';
import { ENGLISH } from '@/words';
import { sayElsewhere } from './elsewhere';

describe('what is looked for where it is not', () => {
  it.each([
    ['swing', 'The feel stands in the line “At”.'],
    ['3/4', 'The meter stands in the line “At”.'],
    ['left-h', 'The kit, and who plays it, stand in the line “For”.'],
    ['solo', 'Parts are added with “+ part”, in the line “For”.'],
    ['short and long', 'How a line is played stands in the line “As”, once a line is there.'],
  ])('%s: %s', (typed, where) => {
    expect(sayElsewhere(ENGLISH, typed, null)).toBe(where);
  });

  it('is not sent back to where it is looked for, nor anywhere at a letter', () => {
    expect(sayElsewhere(ENGLISH, 'clave', 'groove')).toBeNull();
    expect(sayElsewhere(ENGLISH, 's', null)).toBeNull();
    expect(sayElsewhere(ENGLISH, 'gong', null)).toBeNull();
  });
});

describe('how much is typed', () => {
  it('two letters are enough, one is not', () => {
    expect(sayElsewhere(ENGLISH, 'sw', 'groove')).not.toBeNull();
    expect(sayElsewhere(ENGLISH, ' s ', 'groove')).toBeNull();
  });
});
