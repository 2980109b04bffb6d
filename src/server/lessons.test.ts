import { describe, expect, it } from 'vitest';
import { must, type Result } from '@/core/issue';
import type { Decision } from '@/core/ladder';
import { changeItems } from '@/core/program';
import type { EntryId } from '@/core/studio';
import {
  addNote,
  archiveNote,
  decide,
  followVersion,
  getProgram,
  getRecord,
  logPaper,
  logTry,
  newId,
  saveOutline,
  takeDecisionBack,
} from '.';
import { smallStudio, testContext, tryOf, type TestContext } from './studio.fixture';

type Studio = ReturnType<typeof smallStudio>;

/** A studio whose item waits for its teacher. */
function waiting() {
  const context = testContext();
  const studio = smallStudio(context);
  const { teacher, program, item, assignment } = studio;
  const { revision, outline } = must(getProgram(context, teacher, program));
  const asks = changeItems(outline, new Set([item]), (one) => ({
    ...one,
    course: { ...one.course, follow: 'proposes' },
  }));
  must(saveOutline(context, teacher, program, { revision, outline: asks }));
  must(followVersion(context, teacher, [assignment]));
  return { context, studio };
}

function item(context: TestContext, { teacher, student }: Studio) {
  const [found] = must(getRecord(context, teacher, student.personId)).items;
  if (!found) throw new Error('no item');
  return found;
}

function answer(
  context: TestContext,
  studio: Studio,
  decision: Decision,
  id: EntryId = newId<'entry'>(context),
): Result<null> {
  const of = {
    id,
    sessionId: newId<'session'>(context),
    studentId: studio.student.personId,
    assignmentId: studio.assignment,
    itemId: studio.item,
  };
  return decide(context, studio.teacher, of, decision);
}

describe('decide', () => {
  it('answers what is asked, once, and can be taken back', () => {
    const { context, studio } = waiting();
    for (let n = 0; n < 3; n += 1) must(logTry(context, studio.student, tryOf(context, studio)));
    expect(item(context, studio).state).toMatchObject({ rung: 0, proposal: { kind: 'advance' } });
    const id = newId<'entry'>(context);
    const accept = { does: 'accept', proposal: 'advance' } as const;
    must(answer(context, studio, accept, id));
    must(answer(context, studio, accept, id));
    expect(item(context, studio).state).toMatchObject({ rung: 1, proposal: null });
    expect(item(context, studio).decisions).toHaveLength(1);
    expect(answer(context, studio, accept)).toMatchObject({ issues: [{ code: 'not-asked' }] });
    must(takeDecisionBack(context, studio.teacher, studio.student.personId, id));
    expect(item(context, studio).state).toMatchObject({ rung: 0, proposal: { kind: 'advance' } });
    expect(item(context, studio).decisions[0]?.takenBack).toBe(true);
  });

  it('stays in the append-only log', () => {
    const { context, studio } = waiting();
    must(answer(context, studio, { does: 'move', rung: 3 }));
    expect(item(context, studio).state.bpm).toBe(75);
    const rewrite = () => context.db.$client.prepare("update log_entry set decision = '{}'").run();
    expect(rewrite).toThrow('append-only');
  });
});

describe('logPaper', () => {
  const ids = (context: TestContext, count: number) =>
    Array.from({ length: count }, () => newId<'entry'>(context));

  function cell(context: TestContext, studio: Studio, day: string, text: string, count: number) {
    const { assignment: assignmentId, item: itemId } = studio;
    return { assignmentId, itemId, day, text, ids: ids(context, count) };
  }

  it('puts a week in, each try on the rung of its day; sent twice, once', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student } = studio;
    const week = [
      cell(context, studio, '2026-01-04', 'c s', 2),
      cell(context, studio, '2026-01-03', 'ccc', 3),
    ];
    const session = newId<'session'>(context);
    expect(must(logPaper(context, teacher, student.personId, session, week))).toBe(5);
    must(logPaper(context, teacher, student.personId, session, week));
    const { tries, state } = item(context, studio);
    expect(tries.map((one) => [one.day, one.bpm, one.verdict])).toEqual([
      ['2026-01-03', 60, 'clean'],
      ['2026-01-03', 60, 'clean'],
      ['2026-01-03', 60, 'clean'],
      ['2026-01-04', 65, 'clean'],
      ['2026-01-04', 65, 'shaky'],
    ]);
    expect(tries.every((one) => one.paper && one.seconds >= 300)).toBe(true);
    expect(state).toMatchObject({ rung: 1, clean: 0 });
  });

  it('says what cannot be read, and where; nothing goes in', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student, item: id } = studio;
    const week = [
      cell(context, studio, '2026-01-04', 'c', 1),
      cell(context, studio, '2026-01-05', 'cx', 2),
      cell(context, studio, '2026-01-06', 'c', 1),
    ];
    const session = newId<'session'>(context);
    expect(logPaper(context, teacher, student.personId, session, week)).toMatchObject({
      issues: [
        { code: 'tick', path: [id, '2026-01-05'] },
        { code: 'day-ahead', path: [id, '2026-01-06'] },
      ],
    });
    expect(item(context, studio).tries).toEqual([]);
  });
});

describe('notes', () => {
  it('are kept, taken away and brought back', () => {
    const context = testContext();
    const { teacher, student } = smallStudio(context);
    const texts = () =>
      must(getRecord(context, teacher, student.personId)).notes.map((note) => note.text);
    const { id } = must(addNote(context, teacher, student.personId, ' Sing it first. '));
    expect(texts()).toEqual(['Sing it first.']);
    must(archiveNote(context, teacher, student.personId, id, true));
    expect(texts()).toEqual([]);
    must(archiveNote(context, teacher, student.personId, id, false));
    expect(texts()).toEqual(['Sing it first.']);
    expect(addNote(context, teacher, student.personId, ' ')).toMatchObject({
      issues: [{ code: 'note-empty' }],
    });
  });
});
