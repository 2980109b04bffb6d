import ICAL from 'ical.js';
import papaparse from 'papaparse';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { planDays } from '@/core/plan';
import { sayOnPaperIn } from '@/words';
import { exportCalendar, exportLog, getPlan } from '.';
import { about, log, smallStudio, testContext, tryOf } from './studio.fixture';

const SAY = sayOnPaperIn('en-GB');

describe('exportCalendar', () => {
  it('has the days of the plan, each once, with what is planned', () => {
    const { teacher, id } = smallStudio(testContext());
    const text = must(exportCalendar(teacher, SAY, id));
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
