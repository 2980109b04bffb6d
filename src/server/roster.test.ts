import { describe, expect, it, vi } from 'vitest';
import { must } from '@/core/issue';
import { openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import {
  asTeacher,
  listStudents,
  renameProgram,
  viewerOf,
  warmRosters,
  type Context,
  type Teacher,
} from '.';
import {
  about,
  log,
  secondItem,
  smallStudio,
  studentAt,
  testContext,
  tryOf,
  type SmallStudio,
} from './studio.fixture';

const code = vi.hoisted(() => ({ version: 'one' as string | null }));
vi.mock('./version', () => ({ codeVersion: () => code.version }));

/** The same file as a process that was just started sees it. */
function restarted(context: Context): { readonly context: Context; readonly teacher: Teacher } {
  const fresh = { ...context, db: openDb(connectionOf(context.db).$client.serialize()) };
  const id = connectionOf(fresh.db)
    .$client.prepare("select id from person where role = 'owner'")
    .pluck()
    .get() as Parameters<typeof viewerOf>[1];
  return { context: fresh, teacher: must(asTeacher(fresh, viewerOf(fresh, id))) };
}

const SPOILT = `update projection set value = replace(value, '"Autumn"', '"kept"')`;

/** Looks at the roster, and marks what is kept of it. */
function spoilt(): { context: Context; studio: SmallStudio } {
  code.version = 'one';
  const context = testContext();
  const studio = smallStudio(context);
  log(studio.student, studio.id, tryOf(studio));
  must(listStudents(studio.teacher));
  expect(connectionOf(context.db).$client.prepare(SPOILT).run().changes).toBe(1);
  return { context, studio };
}

const programs = (teacher: Teacher) => must(listStudents(teacher))[0]?.programs;

describe('the roster after a start', () => {
  it('takes lines from the file, as they were worked out', () => {
    const { context, studio } = spoilt();
    const [before] = must(listStudents(studio.teacher));
    const { teacher } = restarted(context);
    expect(must(listStudents(teacher))).toEqual([{ ...before, programs: ['kept'] }]);
  });

  it('works out anew what has changed since', () => {
    const { context, studio } = spoilt();
    const later = restarted(context);
    log(studentAt(later.context, studio.id), studio.id, tryOf(studio));
    expect(must(listStudents(later.teacher))[0]).toMatchObject({
      programs: ['Autumn'],
      triesThisWeek: 2,
    });
    const renamed = restarted(context);
    must(renameProgram(renamed.teacher, studio.program, 'Winter'));
    expect(programs(renamed.teacher)).toEqual(['Winter']);
  });

  it('is worked out ahead of the first visit, a student at a time', async () => {
    const { context } = spoilt();
    code.version = 'two';
    const later = restarted(context);
    let pauses = 0;
    await warmRosters(later.context, () => Promise.resolve((pauses += 1)));
    expect(pauses).toBe(must(listStudents(later.teacher)).length);
    expect(connectionOf(later.context.db).$client.prepare(SPOILT).run().changes).toBe(1);
    expect(programs(restarted(later.context).teacher)).toEqual(['kept']);
  });

  it('believes nothing that other code has made', () => {
    const { context } = spoilt();
    code.version = 'two';
    expect(programs(restarted(context).teacher)).toEqual(['Autumn']);
    code.version = null;
    expect(programs(restarted(context).teacher)).toEqual(['Autumn']);
  });
});

describe('a line of the roster', () => {
  it('has the last date of practice of all items, whichever was played last', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = { ...studio, ...secondItem(studio) };
    const lastDay = () => must(listStudents(studio.teacher))[0]?.lastDay;
    expect(lastDay()).toBeNull();
    const playedOn = [
      [other, '2026-01-06'],
      [studio, '2026-01-07'],
      [studio, '2026-01-08'],
      [other, '2026-01-09'],
    ] as const;
    for (const [item, day] of playedOn) {
      context.at += 24 * 3600 * 1000;
      log(studio.student, studio.id, tryOf(item));
      expect(lastDay()).toBe(day);
    }
  });

  it('says how many tries of the week nobody has judged', () => {
    const studio = smallStudio(testContext());
    const { student, teacher, id } = studio;
    const [first, second] = [0, 1].map(() => tryOf(studio, { verdict: null }));
    if (!first || !second) throw new Error('no tries');
    log(student, id, first, second, tryOf(studio));
    const open = () => must(listStudents(teacher))[0]?.openThisWeek;
    expect(open()).toBe(2);
    log(teacher, id, about('judged', first.id, { verdict: 'shaky' }));
    expect(open()).toBe(1);
    log(student, id, about('judged', first.id, { verdict: null }));
    expect(open()).toBe(2);
  });
});
