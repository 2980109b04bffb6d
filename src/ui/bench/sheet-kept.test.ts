import { describe, expect, it } from 'vitest';
import { readSheet, showsOf, turned, USUAL_SHEET } from './sheet-kept';

describe('readSheet', () => {
  it.each([[null], ['no json'], ['null'], ['{"lanes":"yes"}'], ['[]']])(
    '%s is the usual sheet',
    (text) => {
      expect(readSheet(text)).toEqual(USUAL_SHEET);
    },
  );

  it('keeps what was turned, and never neither lanes nor staff', () => {
    const kept = readSheet('{"staff":false,"sticking":true}');
    expect(kept).toEqual({ ...USUAL_SHEET, staff: false, sticking: true });
    expect(showsOf(kept)).toBe('lanes');
    expect(showsOf(readSheet('{"lanes":false,"staff":false}'))).toBe('lanes');
  });
});

describe('turned', () => {
  it('turns the lanes off, and brings them back when the staff goes too', () => {
    const alone = turned(USUAL_SHEET, 'lanes');
    expect(showsOf(alone)).toBe('staff');
    expect(showsOf(turned(alone, 'staff'))).toBe('lanes');
    expect(showsOf(turned(turned(USUAL_SHEET, 'staff'), 'lanes'))).toBe('staff');
  });
});
