import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { type SmallStudio, log, smallStudio, testContext, tryOf } from './studio.fixture';
import { getRecord, logPaper, newId } from '.';

function cell(studio: SmallStudio, day: string, text: string, count: number) {
  const { assignment: assignmentId, item: itemId, teacher } = studio;
  const ids = Array.from({ length: count }, () => newId<'entry'>(teacher));
  return { assignmentId, itemId, day, text, ids };
}

function itemOf({ teacher, id }: SmallStudio) {
  const [found] = must(getRecord(teacher, id)).items;
  if (!found) throw new Error('no item');
  return found;
}

describe('logPaper', () => {
  it('puts a week in, each try on the rung of its day; sent twice, once', () => {
    const studio = smallStudio(testContext());
    const { teacher, id } = studio;
    const week = [cell(studio, '2026-01-04', 'c s', 2), cell(studio, '2026-01-03', 'ccc', 3)];
    const session = newId<'session'>(teacher);
    expect(must(logPaper(teacher, id, session, week))).toBe(5);
    expect(must(logPaper(teacher, id, session, week))).toBe(5);
    const { latest, state } = itemOf(studio);
    expect(latest.map((one) => [one.day, one.bpm, one.verdict])).toEqual([
      ['2026-01-03', 60, 'clean'],
      ['2026-01-03', 60, 'clean'],
      ['2026-01-03', 60, 'clean'],
      ['2026-01-04', 65, 'clean'],
      ['2026-01-04', 65, 'shaky'],
    ]);
    // 8 bars at 60, and at 65.
    expect(latest.map(({ paper, seconds }) => [paper, Math.round(seconds)])).toEqual([
      [true, 32],
      [true, 32],
      [true, 32],
      [true, 30],
      [true, 30],
    ]);
    expect(state).toMatchObject({ rung: 1, clean: 0 });
  });

  it('typed in late stands on the rung of its own date, and moves the ladder as if it had been there', () => {
    const context = testContext();
    const late = smallStudio(context);
    const prompt = smallStudio(context);
    const monday = (studio: SmallStudio) =>
      logPaper(studio.teacher, studio.id, newId<'session'>(studio.teacher), [
        cell(studio, '2026-01-05', 'cc 70s', 3),
      ]);
    const wednesday = (studio: SmallStudio) => {
      for (let n = 0; n < 3; n += 1) {
        const rung = n < 2 ? 'tempo:60' : 'tempo:65';
        log(studio.student, studio.id, tryOf(studio, { rung, bpm: n < 2 ? 60 : 65 }));
      }
    };
    must(monday(prompt));
    context.at += 2 * 24 * 3600 * 1000;
    for (const studio of [late, prompt]) wednesday(studio);
    expect(itemOf(late).state).toMatchObject({ rung: 0, clean: 2 });
    must(monday(late));
    const told = (studio: SmallStudio) => {
      const { state, latest } = itemOf(studio);
      const { basis: _, ...stands } = state;
      return {
        stands,
        tries: latest.map(({ day, bpm, rung, verdict }) => [day, bpm, rung, verdict]),
      };
    };
    expect(told(late)).toEqual(told(prompt));
    expect(told(late).tries.slice(0, 3)).toEqual([
      ['2026-01-05', 60, 'tempo:60', 'clean'],
      ['2026-01-05', 60, 'tempo:60', 'clean'],
      ['2026-01-05', 70, null, 'shaky'],
    ]);
    expect(itemOf(late).state).toMatchObject({ rung: 1, clean: 1 });
  });

  it('with the id of another student’s entry stores none of it', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = smallStudio(context);
    const theirs = tryOf(other);
    log(other.student, other.id, theirs);
    const week = [
      cell(studio, '2026-01-03', 'c', 1),
      { ...cell(studio, '2026-01-04', 'c', 1), ids: [theirs.id] },
    ];
    const session = newId<'session'>(studio.teacher);
    expect(logPaper(studio.teacher, studio.id, session, week)).toMatchObject({
      issues: [{ code: 'not-yours' }],
    });
    expect(itemOf(studio).count).toBe(0);
  });

  it('says what cannot be read, and where; nothing goes in', () => {
    const studio = smallStudio(testContext());
    const { teacher, id, item } = studio;
    const week = [
      cell(studio, '2026-01-04', 'c', 1),
      cell(studio, '2026-01-05', 'cx', 2),
      cell(studio, '2026-01-06', 'c', 1),
    ];
    expect(logPaper(teacher, id, newId<'session'>(teacher), week)).toMatchObject({
      issues: [
        { code: 'tick', path: [item, '2026-01-05'] },
        { code: 'day-ahead', path: [item, '2026-01-06'] },
      ],
    });
    expect(itemOf(studio).count).toBe(0);
  });
});
