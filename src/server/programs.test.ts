import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import {
  addItem,
  archiveExercise,
  archiveProgram,
  createProgram,
  getProgram,
  getToday,
  giveProgram,
  listExercises,
  listPrograms,
  logTry,
  moveItem,
  removeItem,
  saveExercise,
  setCourse,
  takeBack,
} from '.';
import { cells, smallStudio, testContext, tryOf } from './studio.fixture';

describe('programs', () => {
  it('keep the order that items were moved into', () => {
    const context = testContext();
    const { teacher, program, exercise } = smallStudio(context);
    const names = () => must(getProgram(context, teacher, program)).items.map((item) => item.id);
    const second = must(addItem(context, teacher, program, exercise.id));
    const third = must(addItem(context, teacher, program, exercise.id));
    const [first] = names();
    must(moveItem(context, teacher, third, -1));
    expect(names()).toEqual([first, third, second]);
    must(moveItem(context, teacher, second, 1));
    expect(names()).toEqual([first, third, second]);
  });

  it('give back an item with its log and its place', () => {
    const context = testContext();
    const studio = smallStudio(context);
    must(logTry(context, studio.student, tryOf(context, studio)));
    must(removeItem(context, studio.teacher, studio.item, true));
    expect(must(getToday(context, studio.student))).toEqual([]);
    must(removeItem(context, studio.teacher, studio.item, false));
    expect(must(getToday(context, studio.student))[0]?.state.clean).toBe(1);
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

  it('say everything that is wrong with a ladder at once and keep the old one', () => {
    const context = testContext();
    const { teacher, program, item } = smallStudio(context);
    const typed = {
      start: '100',
      target: '60',
      step: '5',
      dosage: 'minutes',
      amount: '0',
      clean: '0',
      lost: 'x',
    } as const;
    const answer = setCourse(context, teacher, item, typed);
    expect(answer).toMatchObject({
      issues: [
        { code: 'ladder-step-away', path: ['step'] },
        { code: 'dosage', path: ['amount'] },
        { code: 'rule', path: ['clean'] },
        { code: 'rule', path: ['lost'] },
      ],
    });
    const [kept] = must(getProgram(context, teacher, program)).items;
    expect(kept?.course.ladder).toMatchObject({ start: 60, target: 100, step: 5 });
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
    const broken = { id: exercise.id, name: 'Broken', recipe: cells('4 4') };
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
