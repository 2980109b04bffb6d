import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import {
  changeItems,
  itemsOf,
  nudgeItem,
  withoutItems,
  type Outline,
  type OutlineItem,
} from '@/core/program';
import type { ItemId, ProgramId } from '@/core/studio';
import {
  addItem,
  addStudent,
  archiveExercise,
  archiveProgram,
  createProgram,
  followVersion,
  getProgram,
  getToday,
  giveProgram,
  listExercises,
  listPrograms,
  listStudents,
  listVersions,
  renameProgram,
  saveExercise,
  saveOutline,
  setKit,
  setStart,
  setTemplate,
  takeBack,
  type Teacher,
} from '.';
import { FULL_KIT } from '@/core/kit';
import { cells, log, smallStudio, studentAt, testContext, tryOf } from './studio.fixture';

/** Changes what a program holds, as its editor does. */
function edit(teacher: Teacher, id: ProgramId, change: (outline: Outline) => Outline) {
  const { revision, outline } = must(getProgram(teacher, id));
  return saveOutline(teacher, id, { revision, outline: change(outline) });
}

/** An item on a ladder of these tempi. */
function withTempi(item: OutlineItem, ...tempi: number[]): OutlineItem {
  return { ...item, course: { ...item.course, ladder: { kind: 'list', tempi } } };
}

/** A quick item, and another that comes after it. */
function inTurn(
  outline: Outline,
  first: ItemId,
  second: ItemId,
  change: (item: OutlineItem) => OutlineItem,
): Outline {
  const quick = changeItems(outline, new Set([first]), (one) => withTempi(one, 60));
  return changeItems(quick, new Set([second]), (one) => ({ ...change(one), after: [first] }));
}

function ids(teacher: Teacher, id: ProgramId): ItemId[] {
  return itemsOf(must(getProgram(teacher, id)).outline).map((item) => item.id);
}

describe('programs', () => {
  it('keep the order that items were moved into', () => {
    const context = testContext();
    const { teacher, program, exercise, item: first } = smallStudio(context);
    const second = must(addItem(teacher, program, exercise.id));
    const third = must(addItem(teacher, program, exercise.id));
    must(edit(teacher, program, (outline) => nudgeItem(outline, third, -1)));
    expect(ids(teacher, program)).toEqual([first, third, second]);
    must(edit(teacher, program, (outline) => nudgeItem(outline, second, 1)));
    expect(ids(teacher, program)).toEqual([first, third, second]);
  });

  it('changed while somebody has them, become a new version; the student follows when told to', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student, program, item, assignment } = studio;
    log(student, student.store.id, tryOf(studio));
    const gone = must(edit(teacher, program, (of) => withoutItems(of, new Set([item]))));
    expect(gone).toMatchObject({ version: 2, given: [{ version: 1 }] });
    expect(must(getToday(student))).toHaveLength(1);
    must(followVersion(teacher, [assignment]));
    expect(must(getToday(student))).toEqual([]);
    must(followVersion(teacher, [assignment], 1));
    expect(must(getToday(student))[0]?.state.clean).toBe(1);
  });

  it('a second change before anybody follows makes no further version', () => {
    const context = testContext();
    const { teacher, program, exercise } = smallStudio(context);
    must(addItem(teacher, program, exercise.id));
    must(addItem(teacher, program, exercise.id));
    expect(must(getProgram(teacher, program)).version).toBe(2);
  });

  it('a change made on an older state overwrites nothing', () => {
    const context = testContext();
    const { teacher, program, exercise } = smallStudio(context);
    const { revision, outline } = must(getProgram(teacher, program));
    must(addItem(teacher, program, exercise.id));
    expect(saveOutline(teacher, program, { revision, outline })).toMatchObject({
      issues: [{ code: 'program-changed' }],
    });
    expect(ids(teacher, program)).toHaveLength(2);
  });

  it('an exercise that was saved anew stays as it was, until it is taken over', () => {
    const context = testContext();
    const { teacher, program, exercise, item } = smallStudio(context);
    const later = { id: exercise.id, name: 'Cells', recipe: cells('4 4 4 4') };
    const { hash } = must(saveExercise(teacher, later));
    const before = must(getProgram(teacher, program));
    expect(before.stale).toEqual({ [item]: hash });
    expect(before.recipes[item]?.play?.content).toEqual({ text: '4. 4 8 4' });
    const taken = must(
      edit(teacher, program, (of) => changeItems(of, new Set([item]), (one) => ({ ...one, hash }))),
    );
    expect(taken.stale).toEqual({});
    expect(taken.recipes[item]?.play?.content).toEqual({ text: '4 4 4 4' });
  });

  it('refuse items that wait for each other', () => {
    const context = testContext();
    const { teacher, program, exercise, item } = smallStudio(context);
    const second = must(addItem(teacher, program, exercise.id));
    const circle = edit(teacher, program, (of) => {
      const one = changeItems(of, new Set([item]), (it) => ({ ...it, after: [second] }));
      return changeItems(one, new Set([second]), (it) => ({ ...it, after: [item] }));
    });
    expect(circle).toMatchObject({ issues: [{ code: 'after-circle', names: ['Cells', 'Cells'] }] });
  });

  it('what comes after something waits until that is passed', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student, program, exercise, item, assignment } = studio;
    const second = must(addItem(teacher, program, exercise.id));
    must(edit(teacher, program, (of) => inTurn(of, item, second, (one) => one)));
    must(followVersion(teacher, [assignment]));
    expect(must(getToday(student)).map((one) => one.waitsFor)).toEqual([[], ['Cells']]);
    for (let n = 0; n < 3; n += 1) log(student, student.store.id, tryOf(studio));
    const after = must(getToday(student));
    expect(after.map((one) => one.waitsFor)).toEqual([[], []]);
    expect(after.map((one) => one.resting)).toEqual([true, false]);
  });

  it('what may start halfway does where all before it was clean, and not after one miss', () => {
    for (const missed of [false, true]) {
      const context = testContext();
      const studio = smallStudio(context);
      const { teacher, student, program, exercise, item, assignment } = studio;
      const second = must(addItem(teacher, program, exercise.id));
      must(
        edit(teacher, program, (of) =>
          inTurn(of, item, second, (one) => {
            const { course, ...rest } = withTempi(one, 60, 70, 80);
            return { ...rest, course: { ...course, headStart: true } };
          }),
        ),
      );
      must(followVersion(teacher, [assignment]));
      if (missed) log(student, student.store.id, tryOf(studio, { verdict: 'shaky' }));
      const standsAt = () => must(getToday(student))[1]?.state.bpm;
      expect(standsAt()).toBe(60);
      for (let n = 0; n < 3; n += 1) log(student, student.store.id, tryOf(studio));
      expect(standsAt()).toBe(missed ? 60 : 70);
      if (missed) continue;
      // Played there, it stays there, whatever becomes of the other.
      const posted = tryOf(studio, { bpm: 70 });
      log(student, student.store.id, { ...posted, itemId: second });
      const begun = context.at;
      // What was begun there is lowered after days away as any other.
      context.at += 12 * 86_400_000;
      expect(standsAt()).toBe(60);
      context.at = begun;
      log(student, student.store.id, tryOf(studio, { verdict: 'lost' }));
      expect(must(getToday(student))[1]?.state).toMatchObject({ bpm: 70, clean: 1 });
    }
  });

  it('a copy has a log of its own; a template is marked', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    must(setTemplate(teacher, program, true));
    const copy = must(createProgram(teacher, 'Spring', program));
    expect(must(getProgram(teacher, copy)).template).toBe(false);
    expect(ids(teacher, copy)).toHaveLength(1);
    expect(ids(teacher, copy)).not.toEqual(ids(teacher, program));
    const marked = must(listPrograms(teacher)).filter((one) => one.template);
    expect(marked.map((one) => one.id)).toEqual([program]);
  });

  it('cannot be given empty, or twice; taken back and given again they go on where they were', () => {
    const context = testContext();
    const { teacher, student, program, item, assignment } = smallStudio(context);
    const empty = must(createProgram(teacher, 'Empty'));
    expect(giveProgram(teacher, empty, student.store.id)).toMatchObject({
      issues: [{ code: 'program-empty' }],
    });
    expect(giveProgram(teacher, program, student.store.id)).toMatchObject({
      issues: [{ code: 'already-given' }],
    });
    log(student, student.store.id, tryOf({ student, item, assignment }));
    must(takeBack(teacher, assignment, true));
    expect(must(getToday(student))).toEqual([]);
    must(giveProgram(teacher, program, student.store.id));
    expect(must(getToday(student))[0]?.state.clean).toBe(1);
  });

  it('taken back a second time is refused to another studio', () => {
    const context = testContext();
    const { teacher, student, assignment } = smallStudio(context);
    const other = smallStudio(context);
    must(takeBack(teacher, assignment, true));
    expect(takeBack(other.teacher, assignment, false)).toMatchObject({
      issues: [{ code: 'not-found' }],
    });
    expect(must(getToday(student))).toEqual([]);
    must(takeBack(teacher, assignment, false));
    expect(must(getToday(student))).toHaveLength(1);
  });

  it('one that was given anew meanwhile is not given a second time', () => {
    const context = testContext();
    const { teacher, student, program, assignment, id } = smallStudio(context);
    must(takeBack(teacher, assignment, true));
    context.at += 1000;
    must(giveProgram(teacher, program, id));
    expect(takeBack(teacher, assignment, false)).toMatchObject({
      issues: [{ code: 'already-given', program: 'Autumn', student: 'Ines' }],
    });
    expect(must(getToday(student))).toHaveLength(1);
  });

  it('a new name is on the roster at once', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    const programs = () => must(listStudents(teacher))[0]?.programs;
    expect(programs()).toEqual(['Autumn']);
    must(renameProgram(teacher, program, 'Winter'));
    expect(programs()).toEqual(['Winter']);
  });

  it('archived ones leave the list, not the student', () => {
    const context = testContext();
    const { teacher, student, program, exercise } = smallStudio(context);
    must(archiveProgram(teacher, program, true));
    must(archiveExercise(teacher, exercise.id, true));
    expect(must(listPrograms(teacher))).toEqual([]);
    expect(must(listExercises(teacher))).toEqual([]);
    expect(must(getToday(student))).toHaveLength(1);
  });
});

describe('one program to a class', () => {
  it('each has a version of their own: handedness, kit, starting tempo', () => {
    const context = testContext();
    const { teacher, program, item, assignment, student } = smallStudio(context);
    const omar = must(addStudent(teacher, { name: 'Omar', about: '' }));
    const kit = {
      ...FULL_KIT,
      name: 'Omar',
      handedness: 'mirrored' as const,
      voices: ['pad' as const],
    };
    must(setKit(teacher, omar, kit));
    must(giveProgram(teacher, program, omar));
    must(setStart(teacher, assignment, item, 80));
    const versions = must(listVersions(teacher, program));
    const [ines, other] = ['Ines', 'Omar'].map((name) =>
      versions.find((one) => one.given.student.name === name),
    );
    expect(ines?.items[0]).toMatchObject({ startBpm: 80, differs: [], risk: 0 });
    expect(other?.items[0]?.startBpm).toBe(60);
    expect(other?.items[0]?.differs[0]).toEqual({ kind: 'handedness', handedness: 'mirrored' });
    expect(other?.items[0]?.differs).toContainEqual({
      kind: 'voice-for',
      voice: 'snare',
      by: 'pad',
    });
    expect(must(getToday(student))[0]?.state.bpm).toBe(80);
    const [own] = must(getToday(studentAt(context, omar)));
    expect(own?.plays.kit.content.handedness).toBe('mirrored');
    must(setStart(teacher, assignment, item, null));
    expect(must(getToday(student))[0]?.state.bpm).toBe(60);
  });
});

describe('exercises', () => {
  it('are saved over themselves, and not when they cannot be played', () => {
    const context = testContext();
    const { teacher, exercise } = smallStudio(context);
    const saved = must(
      saveExercise(teacher, {
        id: exercise.id,
        name: ' Other ',
        recipe: cells('4 4 4 4'),
      }),
    );
    expect(saved).toMatchObject({ id: exercise.id, name: 'Other' });
    expect(saved.hash).not.toBe(exercise.hash);
    const broken = { id: exercise.id, name: 'Broken', recipe: cells('4 4 | 4 4') };
    expect(saveExercise(teacher, broken)).toMatchObject({
      issues: [{ code: 'bar-length' }],
    });
    expect(must(listExercises(teacher)).map((one) => one.name)).toEqual(['Other']);
    const nameless = { id: null, name: '  ', recipe: cells() };
    expect(saveExercise(teacher, nameless)).toMatchObject({
      issues: [{ code: 'name-missing' }],
    });
  });
});
