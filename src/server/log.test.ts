import { describe, expect, it } from 'vitest';
import { must, type Result } from '@/core/issue';
import { changeItems } from '@/core/program';
import { expand } from '@/core/recipe';
import type { EntryId } from '@/core/studio';
import { connectionOf } from '@/db/connection';
import { ENGLISH, sayNeed } from '@/words';
import {
  appendEntries,
  followVersion,
  getProgram,
  getRecord,
  getToday,
  listStudents,
  listTries,
  newId,
  saveOutline,
  takeBack,
} from '.';
import {
  about,
  cells,
  decision,
  log,
  logged,
  smallStudio,
  takenBack,
  testContext,
  tryOf,
  type SmallStudio,
} from './studio.fixture';

function codes(result: Result<unknown>): string[] {
  return result.ok ? [] : result.issues.map((issue) => issue.code);
}

function itemOf({ teacher, id }: SmallStudio) {
  const [found] = must(getRecord(teacher, id)).items;
  if (!found) throw new Error('no item');
  return found;
}

describe('appendEntries', () => {
  it('stores a batch in its order, answers each for itself, and says where its items stand', () => {
    const studio = smallStudio(testContext());
    const { student, id } = studio;
    const tries = ['clean', 'clean', 'clean'].map(() => tryOf(studio));
    const wrong = { ...tryOf(studio), body: { verdict: 'fine' } };
    const lost = about('suffered', newId<'entry'>(student), { what: 'tense', limb: null });
    const { answers, items } = must(appendEntries(student, id, [...tries, wrong, lost, 7]));
    expect(answers.map(({ result }) => codes(result).join())).toEqual([
      '',
      '',
      '',
      'entry-shape',
      'not-found',
      'entry-shape',
    ]);
    expect(answers.map((one) => one.id)).toEqual([
      ...tries.map((one) => one.id),
      wrong.id,
      lost.id,
      '',
    ]);
    expect(items).toMatchObject([
      {
        item: { id: studio.item },
        why: { reason: { kind: 'raised', from: { kind: 'tempo', bpm: 60 } } },
        today: { tries: 3 },
      },
    ]);
    expect(itemOf(studio).count).toBe(3);
  });

  it('stores the same entry once, however often it is sent', () => {
    const studio = smallStudio(testContext());
    const { student, id } = studio;
    const entry = tryOf(studio, { verdict: 'shaky' });
    const said = about('suffered', entry.id, { what: 'flam', limb: 'RF' });
    const first = must(appendEntries(student, id, [entry, said]));
    expect(must(appendEntries(student, id, [entry, said, entry]))).toMatchObject({
      items: first.items,
    });
    expect(itemOf(studio).latest).toMatchObject([
      { id: entry.id, suffered: [{ what: 'flam', limb: 'RF' }] },
    ]);
  });

  it('refuses another student’s stand, try, sitting and entry, and an unknown item', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = smallStudio(context);
    const mine = tryOf(studio);
    log(studio.student, studio.id, mine);
    expect(codes(logged(other.student, other.id, tryOf(studio)))).toEqual(['not-found']);
    const said = about('remark', mine.id, { text: 'Mine?' });
    expect(codes(logged(other.student, other.id, said))).toEqual(['not-found']);
    const { sessionId } = mine;
    expect(codes(logged(other.student, other.id, tryOf(other, {}, { sessionId })))).toEqual([
      'not-yours',
    ]);
    const { id } = mine;
    expect(codes(logged(other.student, other.id, tryOf(other, {}, { id })))).toEqual(['not-yours']);
    const unknown = tryOf({ ...studio, item: newId<'item'>(studio.student) });
    expect(codes(logged(studio.student, studio.id, unknown))).toEqual(['not-found']);
    expect(codes(appendEntries(studio.student, other.id, []))).toEqual(['not-yours']);
  });

  it('students say how it went, teachers decide', () => {
    const studio = smallStudio(testContext());
    const { student, teacher, id } = studio;
    const entry = tryOf(studio);
    log(student, id, entry);
    expect(codes(logged(student, id, decision(studio, { does: 'move', rung: 2 })))).toEqual([
      'not-yours',
    ]);
    const said = about('remark', entry.id, { text: 'tense' });
    expect(codes(logged(teacher, id, said))).toEqual(['not-yours']);
  });

  it('counts practice days in the studio’s zone', () => {
    const context = testContext();
    const studio = smallStudio(context, 'Pacific/Auckland');
    context.at = Date.UTC(2026, 0, 5, 12);
    log(studio.student, studio.id, tryOf(studio));
    expect(itemOf(studio).latest[0]?.day).toBe('2026-01-06');
  });

  it('what waited to be sent belongs to the moment at which it was made, unless its clock was set', () => {
    const context = testContext();
    const studio = smallStudio(context);
    context.at += 40 * 3600 * 1000;
    const hours = (count: number) => ({ agoMs: count * 3600 * 1000 });
    log(studio.student, studio.id, tryOf(studio, {}, hours(26)), tryOf(studio, {}, hours(500_000)));
    expect(itemOf(studio).latest.map((one) => one.day)).toEqual(['2026-01-06', '2026-01-07']);
  });

  it('what was played before a program was taken back may come in after it', () => {
    const context = testContext();
    const studio = smallStudio(context);
    context.at += 3600 * 1000;
    must(takeBack(studio.teacher, studio.assignment, true));
    log(studio.student, studio.id, tryOf(studio, {}, { agoMs: 1000 }));
    must(takeBack(studio.teacher, studio.assignment, false));
    expect(itemOf(studio).state.clean).toBe(1);
  });

  it('is append-only', () => {
    const context = testContext();
    const studio = smallStudio(context);
    log(studio.student, studio.id, tryOf(studio));
    const rewrite = () =>
      connectionOf(context.db).$client.prepare("update entry set body = '{}'").run();
    expect(rewrite).toThrow('append-only');
  });

  it('reads with an index, and sorts nothing', () => {
    const context = testContext();
    const plan = (sql: string) =>
      connectionOf(context.db)
        .$client.prepare(`explain query plan ${sql}`)
        .all()
        .map((row) => (row as { detail: string }).detail)
        .join('; ');
    const mine = "select seq, body from entry where studio_id = 's' and student_id = 'p'";
    expect(plan(`${mine} and seq > 7 order by seq`)).toBe(
      'SEARCH entry USING INDEX entry_by_student (studio_id=? AND student_id=? AND seq>?)',
    );
    expect(plan(`${mine} and item_id = 'i' order by day, seq`)).toBe(
      'SEARCH entry USING INDEX entry_by_item (studio_id=? AND student_id=? AND item_id=?)',
    );
    expect(plan("select max(seq) from entry where studio_id = 's' and student_id = 'p'")).toContain(
      'COVERING INDEX entry_by_student',
    );
    const hashes = "select distinct hash from entry where studio_id = 's' and hash is not null";
    expect(plan(hashes)).toContain('COVERING INDEX entry_by_hash');
  });
});

describe('where it broke', () => {
  it('is added to its try, and the student’s weak crossing comes with its loop', () => {
    const studio = smallStudio(testContext());
    for (let n = 0; n < 6; n += 1) {
      const entry = tryOf(studio, { verdict: 'shaky' });
      log(studio.student, studio.id, entry);
      log(studio.student, studio.id, about('broke', entry.id, { beat: 2 }));
    }
    const record = must(getRecord(studio.teacher, studio.id));
    expect(record.items[0]?.latest.map((one) => one.broke)).toEqual(
      Array.from({ length: 6 }, () => [2]),
    );
    expect(record.weak[0]).toMatchObject({ item: studio.item, beat: 2, count: { breaks: 6 } });
    const loop = must(expand(record.weak[0]?.loop ?? cells()));
    expect(new Set(loop.strokes.map((stroke) => stroke.at)).size % 2).toBe(0);
    const [row] = must(listStudents(studio.teacher));
    expect(row?.needs[0]).toMatchObject({ breaksAt: { place: record.weak[0]?.place } });
  });
});

describe('a remark', () => {
  it('stands with its try; the last word counts', () => {
    const studio = smallStudio(testContext());
    const entry = tryOf(studio);
    log(studio.student, studio.id, entry);
    for (const text of ['The left foot.', 'The left foot, on 3.']) {
      log(studio.student, studio.id, about('remark', entry.id, { text }));
    }
    expect(itemOf(studio).latest[0]?.remark).toBe('The left foot, on 3.');
  });
});

describe('decisions', () => {
  /** A studio whose item waits for its teacher. */
  function waiting() {
    const studio = smallStudio(testContext());
    const { teacher, program, item, assignment } = studio;
    const { revision, outline } = must(getProgram(teacher, program));
    const asks = changeItems(outline, new Set([item]), (one) => ({
      ...one,
      course: { ...one.course, follow: 'proposes' },
    }));
    must(saveOutline(teacher, program, { revision, outline: asks }));
    must(followVersion(teacher, [assignment]));
    for (let n = 0; n < 3; n += 1) log(studio.student, studio.id, tryOf(studio));
    return studio;
  }

  it('answer what is asked, once, and can be taken back, and that too', () => {
    const studio = waiting();
    const { teacher, id } = studio;
    expect(itemOf(studio)).toMatchObject({
      state: { rung: 0, proposal: { kind: 'advance' } },
      rests: [{}, {}, {}],
    });
    const yes = { does: 'accept', proposal: 'advance' } as const;
    const accept = decision(studio, yes);
    log(teacher, id, accept, accept);
    expect(itemOf(studio).state).toMatchObject({ rung: 1, proposal: null });
    expect(itemOf(studio).decisions).toHaveLength(1);
    expect(codes(logged(teacher, id, decision(studio, yes)))).toEqual(['not-asked']);
    const back = takenBack(accept.id, teacher);
    log(teacher, id, back);
    expect(itemOf(studio).state).toMatchObject({ rung: 0, proposal: { kind: 'advance' } });
    expect(itemOf(studio).decisions[0]?.takenBack).toBe(true);
    log(teacher, id, takenBack(back.id, teacher));
    expect(itemOf(studio).state).toMatchObject({ rung: 1, proposal: null });
  });
});

describe('notes', () => {
  it('are kept, taken away and brought back', () => {
    const context = testContext();
    const { teacher, id } = smallStudio(context);
    const texts = () => must(getRecord(teacher, id)).notes.map((note) => note.text);
    const note = { kind: 'note', id: newId<'entry'>(teacher), agoMs: 0 } as const;
    log(teacher, id, { ...note, body: { text: ' Sing it first. ' } });
    expect(texts()).toEqual(['Sing it first.']);
    const away = takenBack(note.id, teacher);
    log(teacher, id, away);
    expect(texts()).toEqual([]);
    log(teacher, id, takenBack(away.id, teacher));
    expect(texts()).toEqual(['Sing it first.']);
    const empty = { ...note, id: newId<'entry'>(teacher), body: { text: ' ' } };
    expect(codes(logged(teacher, id, empty))).toEqual(['entry-shape']);
  });
});

describe('listTries', () => {
  it('reads the log backwards, a page at a time, each try with what was said about it', () => {
    const studio = smallStudio(testContext());
    const { student, teacher, id, item } = studio;
    const entries = Array.from({ length: 230 }, (_, n) =>
      tryOf(studio, { verdict: n % 2 ? 'clean' : 'shaky' }),
    );
    log(student, id, ...entries);
    log(student, id, about('remark', entries[5]?.id as EntryId, { text: 'early' }));
    const first = must(listTries(teacher, id, item, null));
    expect(first.map((one) => one.id)).toEqual(
      entries
        .slice(30)
        .map((one) => one.id)
        .reverse(),
    );
    const rest = must(listTries(student, id, item, first.at(-1) ?? null));
    expect(rest.map((one) => one.id)).toEqual(
      entries
        .slice(0, 30)
        .map((one) => one.id)
        .reverse(),
    );
    expect(rest.at(-6)?.remark).toBe('early');
    expect(must(listTries(teacher, id, item, rest.at(-1) ?? null))).toEqual([]);
  });
});

describe('the record', () => {
  it('replays anew under a changed rule, from the same log', () => {
    const studio = smallStudio(testContext());
    for (let n = 0; n < 2; n += 1) log(studio.student, studio.id, tryOf(studio));
    const { revision, outline } = must(getProgram(studio.teacher, studio.program));
    const easier = changeItems(outline, new Set([studio.item]), (item) => ({
      ...item,
      course: { ...item.course, rule: { ...item.course.rule, clean: 2 } },
    }));
    must(saveOutline(studio.teacher, studio.program, { revision, outline: easier }));
    expect(must(getToday(studio.student))[0]?.state.bpm).toBe(60);
    must(followVersion(studio.teacher, [studio.assignment]));
    expect(must(getToday(studio.student))[0]?.state.bpm).toBe(65);
  });

  it('tells who is stuck: no gain for four days of practice', () => {
    const context = testContext();
    const studio = smallStudio(context);
    for (let day = 0; day < 5; day += 1) {
      log(studio.student, studio.id, tryOf(studio, { verdict: 'shaky' }));
      context.at += 24 * 3600 * 1000;
    }
    const [row] = must(listStudents(studio.teacher));
    expect(row?.needs[0]).toMatchObject({ kind: 'stuck', item: studio.item });
    expect(row?.needs[0] && sayNeed(ENGLISH, row.needs[0])).toContain('Cells: made simpler at 60.');
    expect(row?.triesThisWeek).toBe(5);
    expect(row?.minutesThisWeek).toBe(25);
  });
});
