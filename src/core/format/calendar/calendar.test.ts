import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { writeCalendar } from '.';

const DAYS = [
  {
    id: 'a-2026-03-28',
    day: '2026-03-28',
    title: 'Practise 25 min',
    text: 'Cells; Clave, and "more"',
  },
  {
    id: 'a-2026-03-29',
    day: '2026-03-29',
    title: 'Practise 20 min',
    text: `${'x'.repeat(200)}\nä`,
  },
];

/** As an independent parser (ical.js) reads it. */
function readBack(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as never[]);
  return calendar.getAllSubcomponents('vevent').map((one) => {
    const event = new ICAL.Event(one);
    return {
      id: event.uid,
      from: event.startDate.toString(),
      to: event.endDate.toString(),
      isDate: event.startDate.isDate,
      title: event.summary,
      text: event.description,
      busy: one.getFirstPropertyValue('transp'),
    };
  });
}

describe('writeCalendar', () => {
  it('is read back by another program: dates, also over a change of the clock, and texts', () => {
    expect(readBack(writeCalendar('Practice', DAYS, 0))).toEqual(
      [
        ['2026-03-28', '2026-03-29'],
        ['2026-03-29', '2026-03-30'],
      ].map(([from, to], index) => ({
        id: `a-${from}@mivvel`,
        ...{ from, to, isDate: true, busy: 'TRANSPARENT' },
        title: DAYS[index]?.title,
        text: DAYS[index]?.text,
      })),
    );
  });

  it('has lines of at most 75 octets that end in CR LF (RFC 5545, 3.1)', () => {
    const text = writeCalendar('Übung', DAYS, 0);
    for (const line of text.split('\r\n')) {
      expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
      expect(line).not.toContain('\n');
    }
    expect(text).toContain('DTSTAMP:19700101T000000Z');
  });

  it('without days it is a calendar all the same', () => {
    expect(readBack(writeCalendar('Practice', [], 0))).toEqual([]);
  });
});
