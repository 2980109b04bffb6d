import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { typedTicks } from '.';

describe('typedTicks', () => {
  it.each([
    ['ccs', 'clean clean shaky'],
    ['C, c L', 'clean clean lost'],
    ['cc 70s', 'clean clean shaky@70'],
    ['70 ccs 75 l', 'clean@70 clean@70 shaky@70 lost@75'],
    ['', ''],
  ])('%j', (text, expected) => {
    const said = must(typedTicks(text, 'Mon')).map(({ verdict, bpm }) =>
      bpm === null ? verdict : `${verdict}@${bpm}`,
    );
    expect(said.join(' ')).toBe(expected);
  });

  it.each(['cx', '500c', 'cc 70', '70'])('refuses %j, naming the day', (text) => {
    expect(typedTicks(text, 'Mon')).toMatchObject({ issues: [{ code: 'tick', text, day: 'Mon' }] });
  });
});
