import compile from 'icu-minify/compile';
import format from 'icu-minify/format';
import { describe, expect, it } from 'vitest';
import { en } from './en';
import { pseudoCatalogue, pseudoMessage } from './pseudo';

const formatters = {
  getNumberFormat: (...facts: ConstructorParameters<typeof Intl.NumberFormat>) =>
    new Intl.NumberFormat(...facts),
  getPluralRules: (...facts: ConstructorParameters<typeof Intl.PluralRules>) =>
    new Intl.PluralRules(...facts),
  getDateTimeFormat: (...facts: ConstructorParameters<typeof Intl.DateTimeFormat>) =>
    new Intl.DateTimeFormat(...facts),
};

function said(message: string, values = {}): string {
  const marks = { b: (chunks: unknown[]) => `<b>${chunks.join('')}</b>` };
  return format(
    pseudoMessage(compile(message)),
    'en-XA',
    { ...values, ...marks },
    { formatters },
  ).toString();
}

describe('the language that screens are tried with', () => {
  it('keeps arguments, choices and tags, and changes every word', () => {
    const message = '{count, plural, one {# bar} other {# bars}} of <b>{name} again</b>';
    expect(said(message, { count: 1, name: 'Deniz' })).toBe(
      '⟦1 ƀáŕ óƒ <b>Deniz áǧáíñ</b> ẋẋẋẋ ẋẋẋẋ⟧',
    );
    expect(said(message, { count: 1200, name: 'Deniz' })).toBe(
      '⟦1,200 ƀáŕš óƒ <b>Deniz áǧáíñ</b> ẋẋẋẋ ẋẋẋẋ⟧',
    );
    expect(
      said('{n, number} of {what, select, kit {a kit} other {a <b>pad</b>}}', {
        n: 50,
        what: 'else',
      }),
    ).toBe('⟦50 óƒ á <b>þáð</b> ẋẋẋẋ⟧');
  });

  it('is longer by 40 % at the least', () => {
    for (const text of [en.kit.voice.snare, en.kit.voice.ride]) {
      expect(said(text).length).toBeGreaterThanOrEqual(1.4 * text.length);
    }
  });

  it('takes no message that was not compiled: its arguments would be taken for words', () => {
    expect(() => pseudoCatalogue({ a: { b: '{count} bars' } })).toThrow(
      'not compiled: {count} bars',
    );
  });
});
