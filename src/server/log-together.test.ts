import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import type { Posted } from '@/core/log';
import { connectionOf } from '@/db/connection';
import { addStudent, appendTogether, getToday, giveProgram, type Student } from '.';
import { secondItem, smallStudio, studentAt, testContext, tryOf } from './studio.fixture';

/** A studio of two students who both have the program. */
function two() {
  const context = testContext();
  const w = smallStudio(context);
  const id = must(addStudent(w.teacher, { name: 'Omar', about: '' }));
  const assignment = must(giveProgram(w.teacher, w.program, id));
  const other = { ...w, student: studentAt(context, id), id, assignment };
  const db = connectionOf(context.db).$client;
  const count = () => db.prepare('select count(*) from entry').pluck().get() as number;
  return { w, other, db, count };
}

const send = (
  { student, id }: { student: Student; id: Student['store']['id'] },
  ...all: Posted[]
) => appendTogether(student, id, all);

describe('entries that arrive together', () => {
  it('are written in one transaction, each answered for itself', async () => {
    const { w, other, count } = two();
    const foreign = { ...tryOf(other), assignmentId: w.assignment };
    const answers = await Promise.all([
      send(w, tryOf(w)),
      send(other, foreign),
      send(other, tryOf(other)),
      send(w, tryOf(w), tryOf(w)),
    ]);
    expect(answers.map((one) => must(one).answers.map(({ result }) => result.ok))).toEqual([
      [true],
      [false],
      [true],
      [true, true],
    ]);
    expect(count()).toBe(4);
    expect(must(getToday(w.student))[0]?.today.tries).toBe(3);
  });

  it('are answered only once they are on the disk', async () => {
    const { w, other, db, count } = two();
    // Seen only when all is to be kept: a row that belongs to nothing.
    const late = new Proxy([], {
      get: (list, key) => {
        if (key === 'map') {
          db.pragma('defer_foreign_keys = on');
          db.exec("insert into session select 'x', id, 'nobody', 1, '2026-01-01' from studio");
        }
        return Reflect.get(list, key) as unknown;
      },
    });
    const all = await Promise.allSettled([
      send(w, tryOf(w)),
      appendTogether(other.student, other.id, late),
    ]);
    expect(all.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
    expect(count()).toBe(0);
    expect(must(getToday(w.student))[0]?.today.tries).toBe(0);
  });

  it('a bug in one leaves the others as they are', async () => {
    const { w, other, count } = two();
    const broken = new Proxy([tryOf(other)], {
      get: (list, key) => {
        if (key === 'map') throw new TypeError('a bug');
        return Reflect.get(list, key) as unknown;
      },
    });
    const [one, bad, more] = await Promise.allSettled([
      send(w, tryOf(w)),
      appendTogether(other.student, other.id, broken),
      send(w, tryOf(w)),
    ]);
    expect([one.status, bad.status, more.status]).toEqual(['fulfilled', 'rejected', 'fulfilled']);
    expect(count()).toBe(2);
  });

  it('none of them is there where the disk is full, nothing is counted, and the next ones come in', async () => {
    const { w, other, db, count } = two();
    must(await send(w, tryOf(w)));
    const pages = db.pragma('page_count', { simple: true }) as number;
    db.pragma(`max_page_count = ${pages}`);
    const many = Array.from({ length: 400 }, () => send(w, tryOf(w)));
    const all = await Promise.allSettled([send(other, tryOf(other)), ...many]);
    expect(all.map((one) => one.status)).toEqual(all.map(() => 'rejected'));
    expect((all[0] as PromiseRejectedResult).reason).toMatchObject({ code: 'SQLITE_FULL' });
    expect(count()).toBe(1);
    expect(must(getToday(w.student))[0]?.today.tries).toBe(1);
    db.pragma('max_page_count = 1000000');
    must(await send(other, tryOf(other)));
    expect(count()).toBe(2);
    expect(must(getToday(other.student))[0]?.today.tries).toBe(1);
  });

  it('of several items of one student are all counted', async () => {
    const { w } = two();
    const second = { ...w, ...secondItem(w) };
    await Promise.all([send(w, tryOf(w)), send(w, tryOf(second)), send(w, tryOf(w))]);
    expect(must(getToday(w.student)).map((one) => one.today.tries)).toEqual([2, 1]);
  });
});
