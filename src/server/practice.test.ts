import { describe, expect, it } from 'vitest';
import { must, type Result } from '@/core/issue';
import { expand } from '@/core/recipe';
import { changeItems } from '@/core/program';
import {
  followVersion,
  getProgram,
  getRecord,
  getToday,
  listStudents,
  logBroke,
  logSuffered,
  logTry,
  newId,
  saveOutline,
} from '.';
import { cells, smallStudio, testContext, tryOf } from './studio.fixture';

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

describe('where it broke', () => {
  it('is added to its try, once, and the student’s weak crossing comes with its loop', () => {
    const context = testContext();
    const studio = smallStudio(context);
    for (let n = 0; n < 6; n += 1) {
      const entry = tryOf(context, studio, { verdict: 'shaky' });
      must(logTry(context, studio.student, entry));
      const input = { id: newId<'entry'>(context), tryId: entry.id, beat: 2 };
      must(logBroke(context, studio.student, input));
      must(logBroke(context, studio.student, input));
    }
    const record = must(getRecord(context, studio.teacher, studio.student.personId));
    expect(record.items[0]?.tries.map((one) => one.broke)).toEqual(
      Array.from({ length: 6 }, () => [2]),
    );
    expect(record.weak[0]).toMatchObject({ item: studio.item, beat: 2, count: { breaks: 6 } });
    const loop = must(expand(record.weak[0]?.loop ?? cells()));
    expect(new Set(loop.strokes.map((stroke) => stroke.at)).size % 2).toBe(0);
    const [row] = must(listStudents(context, studio.teacher));
    expect(row?.needs[0]?.says).toContain(record.weak[0]?.where);
  });
});

describe('a try that waited to be sent', () => {
  it('belongs to the moment at which it was played', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const agoMs = 26 * 3600 * 1000;
    must(logTry(context, studio.student, tryOf(context, studio, { agoMs })));
    const record = must(getRecord(context, studio.teacher, studio.student.personId));
    expect(record.items[0]?.tries[0]?.day).toBe('2026-01-04');
  });
});

describe('the record', () => {
  it('replays anew under a changed rule, from the same log', () => {
    const context = testContext();
    const studio = smallStudio(context);
    for (let n = 0; n < 2; n += 1) must(logTry(context, studio.student, tryOf(context, studio)));
    const { revision, outline } = must(getProgram(context, studio.teacher, studio.program));
    const easier = changeItems(outline, new Set([studio.item]), (item) => ({
      ...item,
      course: { ...item.course, rule: { ...item.course.rule, clean: 2 } },
    }));
    const change = { revision, outline: easier };
    must(saveOutline(context, studio.teacher, studio.program, change));
    expect(must(getToday(context, studio.student))[0]?.state.bpm).toBe(60);
    must(followVersion(context, studio.teacher, [studio.assignment]));
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
    expect(row?.needs[0]).toMatchObject({ kind: 'stuck', item: studio.item });
    expect(row?.needs[0]?.says).toContain('Cells: made simpler at 60.');
    expect(row?.triesThisWeek).toBe(5);
    expect(row?.minutesThisWeek).toBe(25);
  });
});
