import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIn, sayLimb } from '.';
import { pseudoMessage } from './pseudo';

const PSEUDO = sayIn('en-XA');

describe('the language that screens are tried with', () => {
  it('keeps arguments, choices and tags, and changes every word', () => {
    expect(pseudoMessage('{count, plural, one {# bar} other {# bars}} of <b>{name}</b>')).toBe(
      '⟦{count, plural, one {# ƀáŕ} other {# ƀáŕš}} óƒ <b>{name}</b> ẋẋẋẋ ẋẋẋẋ⟧',
    );
  });

  it('is longer by 40 % at the least', () => {
    for (const limb of ['RH', 'LF'] as const) {
      const [plain, other] = [sayLimb(ENGLISH, limb), sayLimb(PSEUDO, limb)];
      expect(other.length).toBeGreaterThanOrEqual(1.4 * plain.length);
    }
  });

  it('chooses the branches as English does', () => {
    expect(PSEUDO.t('screen.common.barCount', { bars: 1 })).toContain('1 ƀáŕ ');
    expect(PSEUDO.t('screen.common.barCount', { bars: 2 })).toContain('2 ƀáŕš');
  });
});
