import { describe, expect, it } from 'vitest';
import { familyOf } from '@/core/family';
import { must, type Result } from '@/core/issue';
import { FULL_KIT } from '@/core/kit';
import { EMPTY_OUTLINE } from '@/core/program';
import type { EntryId, Viewer } from '@/core/studio';
import * as server from '.';
import type { Context } from '.';
import { cells, smallStudio, testContext, tryOf } from './studio.fixture';

type Studio = ReturnType<typeof smallStudio>;
type UseCase = (context: Context, viewer: Viewer, of: Studio) => Result<unknown>;

const entry = '0'.repeat(22) as EntryId;

const itemOf = (of: Studio) => ({
  studentId: of.student.personId,
  assignmentId: of.assignment,
  itemId: of.item,
});

/** What only a teacher of the studio may do, each aimed at the things of one studio. */
const TEACHERS: Readonly<Record<string, UseCase>> = {
  listExercises: (c, v) => server.listExercises(c, v),
  listExerciseNames: (c, v) => server.listExerciseNames(c, v),
  getExercise: (c, v, of) => server.getExercise(c, v, of.exercise.id),
  saveExercise: (c, v, of) =>
    server.saveExercise(c, v, { id: of.exercise.id, name: 'Mine', recipe: cells() }),
  archiveExercise: (c, v, of) => server.archiveExercise(c, v, of.exercise.id, true),
  findTwins: (c, v) => server.findTwins(c, v, 'shape'),
  listFamilies: (c, v) => server.listFamilies(c, v),
  listPractised: (c, v) => server.listPractised(c, v),
  getFamily: (c, v, of) => server.getFamily(c, v, of.family),
  saveFamily: (c, v, of) =>
    server.saveFamily(c, v, { id: of.family, name: 'Mine', family: familyOf(cells()) }),
  archiveFamily: (c, v, of) => server.archiveFamily(c, v, of.family, true),
  sendToProgram: (c, v, of) => server.sendToProgram(c, v, { id: of.program }, []),
  setSteps: (c, v) => server.setSteps(c, v, ['limbs']),
  setKit: (c, v, of) => server.setKit(c, v, of.student.personId, FULL_KIT),
  listPrograms: (c, v) => server.listPrograms(c, v),
  getProgram: (c, v, of) => server.getProgram(c, v, of.program),
  createProgram: (c, v) => server.createProgram(c, v, 'New'),
  renameProgram: (c, v, of) => server.renameProgram(c, v, of.program, 'Mine'),
  archiveProgram: (c, v, of) => server.archiveProgram(c, v, of.program, true),
  addItem: (c, v, of) => server.addItem(c, v, of.program, of.exercise.id),
  saveOutline: (c, v, of) =>
    server.saveOutline(c, v, of.program, { revision: 1, outline: EMPTY_OUTLINE }),
  setTemplate: (c, v, of) => server.setTemplate(c, v, of.program, true),
  followVersion: (c, v, of) => server.followVersion(c, v, [of.assignment]),
  setStart: (c, v, of) => server.setStart(c, v, of.assignment, of.item, 80),
  listVersions: (c, v, of) => server.listVersions(c, v, of.program),
  decide: (c, v, of) =>
    server.decide(
      c,
      v,
      { ...itemOf(of), id: entry, sessionId: server.newId<'session'>(c) },
      { does: 'move', rung: 1 },
    ),
  takeDecisionBack: (c, v, of) => server.takeDecisionBack(c, v, of.student.personId, entry),
  addNote: (c, v, of) => server.addNote(c, v, of.student.personId, 'Sing it.'),
  archiveNote: (c, v, of) =>
    server.archiveNote(c, v, of.student.personId, server.newId<'note'>(c), true),
  logPaper: (c, v, of) =>
    server.logPaper(c, v, of.student.personId, server.newId<'session'>(c), []),
  giveProgram: (c, v, of) => server.giveProgram(c, v, of.program, of.student.personId),
  takeBack: (c, v, of) => server.takeBack(c, v, of.assignment, true),
  listStudents: (c, v) => server.listStudents(c, v),
  listRoster: (c, v) => server.listRoster(c, v),
  addStudent: (c, v) => server.addStudent(c, v, { name: 'New', about: '' }),
};

/** Use cases of a teacher that name nothing of the studio they look at. */
const OWN_STUDIO_ONLY = [
  'listExercises',
  'listExerciseNames',
  'findTwins',
  'listFamilies',
  'listPractised',
  'setSteps',
  'listPrograms',
  'createProgram',
  'listStudents',
  'listRoster',
  'addStudent',
];

describe('a student', () => {
  it.each(Object.keys(TEACHERS))('may not %s', (name) => {
    const context = testContext();
    const studio = smallStudio(context);
    expect(TEACHERS[name]?.(context, studio.student, studio)).toMatchObject({
      ok: false,
      issues: [{ code: 'not-yours' }],
    });
  });

  it('sees only their own record', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const input = { name: 'Omar', about: '' };
    const other = must(server.addStudent(context, studio.teacher, input));
    const { student } = studio;
    expect(server.getRecord(context, student, student.personId).ok).toBe(true);
    expect(server.getRecord(context, student, other)).toMatchObject({
      issues: [{ code: 'not-yours' }],
    });
  });
});

describe('a teacher of another studio', () => {
  it.each(Object.keys(TEACHERS).filter((name) => !OWN_STUDIO_ONLY.includes(name)))(
    'finds nothing to %s',
    (name) => {
      const context = testContext();
      const studio = smallStudio(context);
      const other = smallStudio(context);
      expect(TEACHERS[name]?.(context, other.teacher, studio)).toMatchObject({
        ok: false,
        issues: [{ code: 'not-found' }],
      });
    },
  );

  it('sees none of its exercises, programs, students or records', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher } = smallStudio(context);
    const { db } = context;
    expect(db.$client.prepare('select count(*) n from exercise').get()).toEqual({ n: 2 });
    expect(must(server.listExercises(context, teacher))).toHaveLength(1);
    expect(must(server.listPrograms(context, teacher))).toHaveLength(1);
    expect(must(server.listRoster(context, teacher))).toHaveLength(1);
    expect(server.getRecord(context, teacher, studio.student.personId)).toMatchObject({
      issues: [{ code: 'not-found' }],
    });
  });
});

describe('a teacher', () => {
  it('has no stand of their own', () => {
    const context = testContext();
    const studio = smallStudio(context);
    expect(server.getToday(context, studio.teacher).ok).toBe(false);
    expect(server.logTry(context, studio.teacher, tryOf(context, studio)).ok).toBe(false);
  });
});
