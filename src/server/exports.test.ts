import ICAL from 'ical.js';
import papaparse from 'papaparse';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { planDays } from '@/core/plan';
import { sayOnPaperIn } from '@/words';
import { exportCalendar, exportLog, getAddress, getPlan, openFeed, readFeed, setAddress } from '.';
import { about, log, smallStudio, testContext, tryOf } from './studio.fixture';

const SAY = sayOnPaperIn('en-GB');

describe('exportCalendar', () => {
  it('has the days of the plan, each once, with what is planned', () => {
    const { teacher, id } = smallStudio(testContext());
    const text = must(exportCalendar(teacher, SAY, id));
    // Ids of people sign in; none of them leaves.
    expect(text).not.toContain(id);
    expect(must(exportCalendar(teacher, SAY, id))).toBe(text);
    const events = new ICAL.Component(ICAL.parse(text) as never[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));
    const planned = planDays(must(getPlan(teacher, id)).planning).days.filter(
      ({ entries }) => entries.length > 0,
    );
    expect(planned.length).toBeGreaterThan(3);
    expect(events.map(({ startDate }) => startDate.toString())).toEqual(
      planned.map(({ day }) => day),
    );
    expect(events[0]?.description).toMatch(/^Cells\n.*hearing protection/);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  });
});

describe('openFeed', () => {
  it('is one secret address a student, until another one is made', () => {
    const context = testContext();
    const { teacher, student, id } = smallStudio(context);
    const feed = must(openFeed(student, id, false));
    expect(feed).toMatch(/^[0-9a-z]{22}[a-z2-7]{26}$/);
    expect(must(openFeed(teacher, id, false))).toBe(feed);
    const reader = must(readFeed(context, feed));
    expect(reader.store.id).toBe(id);
    expect(must(exportCalendar(reader, SAY, id))).toContain('BEGIN:VEVENT');
    const another = must(openFeed(student, id, true));
    expect(another).not.toBe(feed);
    expect(readFeed(context, feed).ok).toBe(false);
    expect(readFeed(context, another).ok).toBe(true);
    expect(readFeed(context, '').ok).toBe(false);
  });
});

describe('setAddress', () => {
  it.each([
    ['http://192.168.1.20:3000/bench', 'http://192.168.1.20:3000'],
    [' https://studio.example ', 'https://studio.example'],
    ['', null],
  ])('%j is kept as %j', (typed, kept) => {
    const { teacher } = smallStudio(testContext());
    expect(must(setAddress(teacher, typed))).toBe(kept);
    expect(getAddress(teacher)).toBe(kept);
  });

  it.each(['studio', 'javascript:alert(1)', 'ftp://studio.example'])('%j is none', (typed) => {
    const { teacher } = smallStudio(testContext());
    const refused = setAddress(teacher, typed);
    expect(refused).toMatchObject({ ok: false, issues: [{ code: 'address', text: typed }] });
    expect(getAddress(teacher)).toBeNull();
  });
});

describe('exportLog', () => {
  it('has a row for each try with all that was said about it', () => {
    const studio = smallStudio(testContext());
    const { student, id } = studio;
    const entry = tryOf(studio, { verdict: 'shaky' });
    log(student, id, entry);
    log(student, id, about('suffered', entry.id, { what: 'flam', limb: 'LH' }));
    log(student, id, about('broke', entry.id, { beat: 2 }));
    log(student, id, about('remark', entry.id, { text: '=stiff, "left"' }));
    const { data } = papaparse.parse<Record<string, string>>(must(exportLog(student, id)), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toMatchObject([
      {
        date: '2026-01-05',
        time: '17:00',
        program: 'Autumn',
        exercise: 'Cells',
        bpm: '60',
        bars: '75',
        seconds: '300',
        verdict: 'shaky',
        'judged-by': 'student',
        suffered: 'flam LH',
        'broke-on-beat': '3',
        remark: `'=stiff, "left"`,
      },
    ]);
  });
});
