import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { changeItems, itemsOf, nudgeItem, withoutItems, type Outline } from '@/core/program';
import type { ItemId, ProgramId, Viewer } from '@/core/studio';
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
  listVersions,
  logTry,
  saveExercise,
  saveOutline,
  setKit,
  setStart,
  setTemplate,
  takeBack,
  type Context,
} from '.';
import { FULL_KIT } from '@/core/kit';
import { cells, smallStudio, testContext, tryOf, viewer } from './studio.fixture';

/** Changes what a program holds, as its editor does. */
function edit(
  context: Context,
  teacher: Viewer,
  id: ProgramId,
  change: (outline: Outline) => Outline,
) {
  const { revision, outline } = must(getProgram(context, teacher, id));
  return saveOutline(context, teacher, id, { revision, outline: change(outline) });
}

function ids(context: Context, teacher: Viewer, id: ProgramId): ItemId[] {
  return itemsOf(must(getProgram(context, teacher, id)).outline).map((item) => item.id);
}

describe('programs', () => {
  it('keep the order that items were moved into', () => {
    const context = testContext();
    const { teacher, program, exercise, item: first } = smallStudio(context);
    const second = must(addItem(context, teacher, program, exercise.id));
    const third = must(addItem(context, teacher, program, exercise.id));
    must(edit(context, teacher, program, (outline) => nudgeItem(outline, third, -1)));
    expect(ids(context, teacher, program)).toEqual([first, third, second]);
    must(edit(context, teacher, program, (outline) => nudgeItem(outline, second, 1)));
    expect(ids(context, teacher, program)).toEqual([first, third, second]);
  });

  it('changed while somebody has them, become a new version; the student follows when told to', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student, program, item, assignment } = studio;
    must(logTry(context, student, tryOf(context, studio)));
    const gone = must(edit(context, teacher, program, (of) => withoutItems(of, new Set([item]))));
    expect(gone).toMatchObject({ version: 2, given: [{ version: 1 }] });
    expect(must(getToday(context, student))).toHaveLength(1);
    must(followVersion(context, teacher, [assignment]));
    expect(must(getToday(context, student))).toEqual([]);
    must(followVersion(context, teacher, [assignment], 1));
    expect(must(getToday(context, student))[0]?.state.clean).toBe(1);
  });

  it('a second change before anybody follows makes no further version', () => {
    const context = testContext();
    const { teacher, program, exercise } = smallStudio(context);
    must(addItem(context, teacher, program, exercise.id));
    must(addItem(context, teacher, program, exercise.id));
    expect(must(getProgram(context, teacher, program)).version).toBe(2);
  });

  it('a change made on an older state overwrites nothing', () => {
    const context = testContext();
    const { teacher, program, exercise } = smallStudio(context);
    const { revision, outline } = must(getProgram(context, teacher, program));
    must(addItem(context, teacher, program, exercise.id));
    expect(saveOutline(context, teacher, program, { revision, outline })).toMatchObject({
      issues: [{ code: 'program-changed' }],
    });
    expect(ids(context, teacher, program)).toHaveLength(2);
  });

  it('an exercise that was saved anew stays as it was, until it is taken over', () => {
    const context = testContext();
    const { teacher, program, exercise, item } = smallStudio(context);
    const later = { id: exercise.id, name: 'Cells', recipe: cells('4 4 4 4') };
    const { hash } = must(saveExercise(context, teacher, later));
    const before = must(getProgram(context, teacher, program));
    expect(before.stale).toEqual({ [item]: hash });
    expect(before.recipes[item]?.play?.content).toEqual({ text: '4. 4 8 4' });
    const taken = must(
      edit(context, teacher, program, (of) =>
        changeItems(of, new Set([item]), (one) => ({ ...one, hash })),
      ),
    );
    expect(taken.stale).toEqual({});
    expect(taken.recipes[item]?.play?.content).toEqual({ text: '4 4 4 4' });
  });

  it('refuse items that wait for each other', () => {
    const context = testContext();
    const { teacher, program, exercise, item } = smallStudio(context);
    const second = must(addItem(context, teacher, program, exercise.id));
    const circle = edit(context, teacher, program, (of) => {
      const one = changeItems(of, new Set([item]), (it) => ({ ...it, after: [second] }));
      return changeItems(one, new Set([second]), (it) => ({ ...it, after: [item] }));
    });
    expect(circle).toMatchObject({ issues: [{ code: 'after-circle', names: ['Cells', 'Cells'] }] });
  });

  it('what comes after something waits until that is passed', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student, program, exercise, item, assignment } = studio;
    const second = must(addItem(context, teacher, program, exercise.id));
    must(
      edit(context, teacher, program, (of) => {
        const short = { kind: 'list' as const, tempi: [60] };
        const quick = changeItems(of, new Set([item]), (one) => ({
          ...one,
          course: { ...one.course, ladder: short },
        }));
        return changeItems(quick, new Set([second]), (one) => ({ ...one, after: [item] }));
      }),
    );
    must(followVersion(context, teacher, [assignment]));
    expect(must(getToday(context, student)).map((one) => one.waitsFor)).toEqual([[], ['Cells']]);
    for (let n = 0; n < 3; n += 1) must(logTry(context, student, tryOf(context, studio)));
    const after = must(getToday(context, student));
    expect(after.map((one) => one.waitsFor)).toEqual([[], []]);
    expect(after.map((one) => one.resting)).toEqual([true, false]);
  });

  it('a copy has a log of its own; a template is marked', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    must(setTemplate(context, teacher, program, true));
    const copy = must(createProgram(context, teacher, 'Spring', program));
    expect(must(getProgram(context, teacher, copy)).template).toBe(false);
    expect(ids(context, teacher, copy)).toHaveLength(1);
    expect(ids(context, teacher, copy)).not.toEqual(ids(context, teacher, program));
    const marked = must(listPrograms(context, teacher)).filter((one) => one.template);
    expect(marked.map((one) => one.id)).toEqual([program]);
  });

  it('cannot be given empty, or twice; taken back and given again they go on where they were', () => {
    const context = testContext();
    const { teacher, student, program, item, assignment } = smallStudio(context);
    const empty = must(createProgram(context, teacher, 'Empty'));
    expect(giveProgram(context, teacher, empty, student.personId)).toMatchObject({
      issues: [{ code: 'program-empty' }],
    });
    expect(giveProgram(context, teacher, program, student.personId)).toMatchObject({
      issues: [{ code: 'already-given' }],
    });
    must(logTry(context, student, tryOf(context, { item, assignment })));
    must(takeBack(context, teacher, assignment, true));
    expect(must(getToday(context, student))).toEqual([]);
    must(giveProgram(context, teacher, program, student.personId));
    expect(must(getToday(context, student))[0]?.state.clean).toBe(1);
  });

  it('archived ones leave the list, not the student', () => {
    const context = testContext();
    const { teacher, student, program, exercise } = smallStudio(context);
    must(archiveProgram(context, teacher, program, true));
    must(archiveExercise(context, teacher, exercise.id, true));
    expect(must(listPrograms(context, teacher))).toEqual([]);
    expect(must(listExercises(context, teacher))).toEqual([]);
    expect(must(getToday(context, student))).toHaveLength(1);
  });
});

describe('one program to a class', () => {
  it('each has a version of their own: handedness, kit, starting tempo', () => {
    const context = testContext();
    const { teacher, program, item, assignment, student } = smallStudio(context);
    const omar = must(addStudent(context, teacher, { name: 'Omar', about: '' }));
    const kit = {
      ...FULL_KIT,
      name: 'Omar',
      handedness: 'mirrored' as const,
      voices: ['pad' as const],
    };
    must(setKit(context, teacher, omar, kit));
    must(giveProgram(context, teacher, program, omar));
    must(setStart(context, teacher, assignment, item, 80));
    const versions = must(listVersions(context, teacher, program));
    const [ines, other] = ['Ines', 'Omar'].map((name) =>
      versions.find((one) => one.given.student.name === name),
    );
    expect(ines?.items[0]).toMatchObject({ startBpm: 80, differs: [], risk: 0 });
    expect(other?.items[0]?.startBpm).toBe(60);
    expect(other?.items[0]?.differs[0]).toBe('all limbs mirrored');
    expect(other?.items[0]?.differs.join()).toContain('pad for snare');
    expect(must(getToday(context, student))[0]?.state.bpm).toBe(80);
    const [own] = must(getToday(context, viewer(context, omar)));
    expect(own?.plays.kit.content.handedness).toBe('mirrored');
    must(setStart(context, teacher, assignment, item, null));
    expect(must(getToday(context, student))[0]?.state.bpm).toBe(60);
  });
});

describe('exercises', () => {
  it('are saved over themselves, and not when they cannot be played', () => {
    const context = testContext();
    const { teacher, exercise } = smallStudio(context);
    const saved = must(
      saveExercise(context, teacher, {
        id: exercise.id,
        name: ' Other ',
        recipe: cells('4 4 4 4'),
      }),
    );
    expect(saved).toMatchObject({ id: exercise.id, name: 'Other' });
    expect(saved.hash).not.toBe(exercise.hash);
    const broken = { id: exercise.id, name: 'Broken', recipe: cells('4 4 | 4 4') };
    expect(saveExercise(context, teacher, broken)).toMatchObject({
      issues: [{ code: 'bar-length' }],
    });
    expect(must(listExercises(context, teacher)).map((one) => one.name)).toEqual(['Other']);
    const nameless = { id: null, name: '  ', recipe: cells() };
    expect(saveExercise(context, teacher, nameless)).toMatchObject({
      issues: [{ code: 'name-missing' }],
    });
  });
});
