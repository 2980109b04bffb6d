import { describe, expect, it } from 'vitest';
import { must, type Result } from '@/core/issue';
import { getRecord, getToday, listStudents, logSuffered, logTry, newId, setCourse } from '.';
import { smallStudio, testContext, tryOf } from './studio.fixture';

function codes(result: Result<unknown>): string[] {
  return result.ok ? [] : result.issues.map((issue) => issue.code);
}

describe('logTry', () => {
  it('stores a try and says where the ladder stands', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const answers = ['clean', 'clean', 'clean'].map(() =>
      must(logTry(context, studio.student, tryOf(context, studio))),
    );
    expect(answers.map((one) => one.reason)).toEqual([
      '1 of 3 clean at 60.',
      '2 of 3 clean at 60.',
      '3 clean at 60: now 65.',
    ]);
    expect(must(getToday(context, studio.student))[0]?.state.bpm).toBe(65);
  });

  it('stores the same entry once, however often it is sent', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const entry = tryOf(context, studio);
    const first = must(logTry(context, studio.student, entry));
    const again = must(logTry(context, studio.student, entry));
    expect(again).toEqual(first);
    expect(
      must(getRecord(context, studio.teacher, studio.student.personId)).items[0]?.tries,
    ).toHaveLength(1);
  });

  it('refuses another student’s stand, a teacher, and an unknown item', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = smallStudio(context);
    expect(codes(logTry(context, other.student, tryOf(context, studio)))).toEqual(['not-found']);
    expect(codes(logTry(context, studio.teacher, tryOf(context, studio)))).toEqual(['not-yours']);
    const unknown = tryOf(context, { ...studio, item: newId<'item'>(context) });
    expect(codes(logTry(context, studio.student, unknown))).toEqual(['not-found']);
  });

  it('refuses a session that belongs to somebody else', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = smallStudio(context);
    const entry = tryOf(context, studio);
    must(logTry(context, studio.student, entry));
    const theirs = tryOf(context, other, { sessionId: entry.sessionId });
    expect(codes(logTry(context, other.student, theirs))).toEqual(['not-yours']);
  });

  it('counts practice days in the studio’s zone', () => {
    const context = testContext();
    const studio = smallStudio(context, 'Pacific/Auckland');
    context.at = Date.UTC(2026, 0, 5, 12);
    must(logTry(context, studio.student, tryOf(context, studio)));
    const record = must(getRecord(context, studio.teacher, studio.student.personId));
    expect(record.items[0]?.tries[0]?.day).toBe('2026-01-06');
    expect(record.today).toBe('2026-01-06');
  });
});

describe('what suffered', () => {
  it('is added to its try, once', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const entry = tryOf(context, studio, { verdict: 'shaky' });
    must(logTry(context, studio.student, entry));
    const id = newId<'entry'>(context);
    const input = { id, tryId: entry.id, what: 'flam', limb: 'RF' } as const;
    must(logSuffered(context, studio.student, input));
    must(logSuffered(context, studio.student, input));
    const record = must(getRecord(context, studio.student, studio.student.personId));
    expect(record.items[0]?.tries[0]?.suffered).toEqual([{ what: 'flam', limb: 'RF' }]);
  });

  it('cannot be added to another student’s try', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = smallStudio(context);
    const entry = tryOf(context, studio, { verdict: 'lost' });
    must(logTry(context, studio.student, entry));
    const input = {
      id: newId<'entry'>(context),
      tryId: entry.id,
      what: 'tense',
      limb: null,
    } as const;
    expect(codes(logSuffered(context, other.student, input))).toEqual(['not-found']);
  });
});

describe('the record', () => {
  it('replays anew under a changed rule, from the same log', () => {
    const context = testContext();
    const studio = smallStudio(context);
    for (let n = 0; n < 2; n += 1) must(logTry(context, studio.student, tryOf(context, studio)));
    const typed = {
      start: '60',
      target: '100',
      step: '5',
      dosage: 'minutes',
      amount: '5',
      clean: '2',
      lost: '2',
    } as const;
    must(setCourse(context, studio.teacher, studio.item, typed));
    expect(must(getToday(context, studio.student))[0]?.state.bpm).toBe(65);
  });

  it('tells who is stuck: no gain for four days of practice', () => {
    const context = testContext();
    const studio = smallStudio(context);
    for (let day = 0; day < 5; day += 1) {
      must(logTry(context, studio.student, tryOf(context, studio, { verdict: 'shaky' })));
      context.at += 24 * 3600 * 1000;
    }
    const [row] = must(listStudents(context, studio.teacher));
    expect(row?.stuck).toEqual(['Cells: not past 60 for 4 days of practice.']);
    expect(row?.triesThisWeek).toBe(5);
    expect(row?.minutesThisWeek).toBe(25);
  });
});
