import { describe, expect, it } from 'vitest';
import { familyOf, openFamily } from '@/core/family';
import { displacements, family, TEXTURES } from '@/core/family/family.fixture';
import { must } from '@/core/issue';
import { rungsOf, stepCourse } from '@/core/ladder';
import { itemsOf } from '@/core/program';
import { recipeHash } from '@/core/recipe';
import {
  archiveFamily,
  getFamily,
  getProgram,
  listExercises,
  listFamilies,
  listPractised,
  listPrograms,
  saveFamily,
  sendToProgram,
} from '.';
import { log, cells, smallStudio, testContext, tryOf } from './studio.fixture';

describe('a saved family', () => {
  it('comes back as it was, decisions and all, and is saved over', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const one = { ...family(...TEXTURES), dropped: ['a.b.c'], stop: 'd.e.f', naming: 'Groove {n}' };
    const { id } = must(saveFamily(teacher, { id: null, name: 'Grooves', family: one }));
    expect(must(getFamily(teacher, id))).toEqual({ id, name: 'Grooves', family: one });
    const changed = { ...one, dropped: [] };
    must(saveFamily(teacher, { id, name: 'Beats', family: changed }));
    expect(must(getFamily(teacher, id))).toEqual({ id, name: 'Beats', family: changed });
    expect(must(openFamily(must(getFamily(teacher, id)).family)).size).toBe(45);
  });

  it('archived is out of the list, and can be put back', () => {
    const context = testContext();
    const { teacher, family: id } = smallStudio(context);
    const names = () => must(listFamilies(teacher)).map((one) => one.name);
    must(archiveFamily(teacher, id, true));
    expect(names()).toEqual([]);
    must(archiveFamily(teacher, id, false));
    expect(names()).toEqual(['Cells, displaced']);
  });

  it('without a name, or too large, is refused', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const input = { id: null, name: ' ', family: familyOf(cells()) };
    expect(saveFamily(teacher, input)).toMatchObject({
      issues: [{ code: 'name-missing' }],
    });
    const many = [0, 1, 2].map((index) => displacements(-64, 64, index));
    const large = family(...TEXTURES, ...many);
    const huge = { id: null, name: 'Huge', family: large };
    expect(saveFamily(teacher, huge)).toMatchObject({
      issues: [{ code: 'family-too-large', axis: { at: 'change', nth: 1 } }],
    });
  });
});

describe('sendToProgram', () => {
  const two = ['4 4 4 4', '4. 4 8 4'].map((text) => ({ name: text, recipe: cells(text) }));

  it('puts exercises at the end, in their order', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    must(sendToProgram(teacher, { id: program }, two));
    const { outline } = must(getProgram(teacher, program));
    expect(itemsOf(outline).map((item) => item.name)).toEqual(['Cells', '4 4 4 4', '4. 4 8 4']);
  });

  it('steps become the rungs of one item', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const steps = two.map(({ name, recipe }) => ({ says: name, recipe }));
    const sent = [{ name: 'Built up', recipe: cells(), steps }];
    const id = must(sendToProgram(teacher, { name: 'Steps' }, sent));
    const [item, ...others] = itemsOf(must(getProgram(teacher, id)).outline);
    expect(others).toEqual([]);
    expect(item && rungsOf(item.course.ladder).map((rung) => rung.asks)).toEqual([
      { kind: 'step', name: '4 4 4 4' },
      { kind: 'step', name: '4. 4 8 4' },
    ]);
  });

  it('each waits for the one before it, where they follow one another; none for what was there', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    const course = stepCourse(60, 'step');
    must(
      sendToProgram(
        teacher,
        { id: program },
        two.map((one) => ({ ...one, course, follows: true })),
      ),
    );
    const [was, first, second] = itemsOf(must(getProgram(teacher, program)).outline);
    expect([was?.after, first?.after, second?.after]).toEqual([[], [], [first?.id]]);
    expect(second?.course).toEqual(course);
  });

  it('a step that is untimed stays so as a rung', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const steps = [{ says: 'free', recipe: cells(), untimed: true }];
    const course = stepCourse(72, 'step');
    const id = must(
      sendToProgram(teacher, { name: 'Solo' }, [{ name: 'Solo', recipe: cells(), steps, course }]),
    );
    const [item] = itemsOf(must(getProgram(teacher, id)).outline);
    const [rung] = item ? rungsOf(item.course.ladder) : [];
    expect(rung).toMatchObject({ bpm: 72, stage: { untimed: true } });
  });

  it('makes a program of a new name', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const id = must(sendToProgram(teacher, { name: 'Grooves' }, two));
    expect(itemsOf(must(getProgram(teacher, id)).outline)).toHaveLength(2);
  });

  it('refused for one, changes nothing at all', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    const bad = [...two, { name: 'short', recipe: cells('4 4 4 | 4 4 4 4') }];
    expect(sendToProgram(teacher, { name: 'Grooves' }, bad)).toMatchObject({
      issues: [{ code: 'bar-length' }],
    });
    expect(must(listPrograms(teacher))).toHaveLength(1);
    expect(itemsOf(must(getProgram(teacher, program)).outline)).toHaveLength(1);
    expect(must(listExercises(teacher))).toHaveLength(1);
    const many = Array.from({ length: 201 }, () => two[0] ?? { name: '', recipe: cells() });
    expect(sendToProgram(teacher, { id: program }, many)).toMatchObject({
      issues: [{ code: 'members-too-many', count: 201 }],
    });
  });
});

describe('listPractised', () => {
  it('knows what was tried, by what it plays', () => {
    const context = testContext();
    const studio = smallStudio(context);
    expect(must(listPractised(studio.teacher))).toEqual([]);
    log(studio.student, studio.student.store.id, tryOf(studio));
    expect(must(listPractised(studio.teacher))).toEqual([recipeHash(cells())]);
  });
});
