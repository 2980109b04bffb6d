import { describe, expect, it } from 'vitest';
import { readBundle, writeBundle } from '@/core/format';
import type { Day } from '@/core/calendar';
import { flowFamily } from '@/core/family';
import { must } from '@/core/issue';
import { FULL_KIT } from '@/core/kit';
import { USUAL_SCHEDULE } from '@/core/plan';
import { itemsOf, withoutItems } from '@/core/program';
import { recipeHash } from '@/core/recipe';
import type { PersonId } from '@/core/studio';
import {
  addItem,
  addStudent,
  archiveExercise,
  archiveImported,
  archiveProgram,
  asTeacher,
  createProgram,
  exportStudent,
  exportStudio,
  getFamily,
  getRecord,
  giveProgram,
  importBundle,
  listExerciseNames,
  listMaterials,
  listPrograms,
  listStudents,
  getProgram,
  lookIntoBundle,
  saveExercise,
  saveFamily,
  saveMaterial,
  saveOutline,
  openStudio,
  setKit,
  setSchedule,
  setSpeech,
  setStart,
  setSteps,
  takeBack,
  viewerOf,
  type Teacher,
} from '.';
import {
  about,
  cells,
  decision,
  log,
  smallStudio,
  takenBack,
  testContext,
  tryOf,
  type TestContext,
} from './studio.fixture';

function studios() {
  const context = testContext();
  const from = smallStudio(context).teacher;
  const { teacher: to } = smallStudio(context);
  const content = { text: '4. 4 8 4' };
  const line = {
    id: null,
    kind: 'line' as const,
    name: 'My line',
    trains: '',
    meter: '4/4',
    content,
  };
  const { id, version } = must(saveMaterial(from, line));
  const own = { id, version, content: { ...content, name: 'My line' } };
  const recipe = { ...cells(), play: own };
  must(saveExercise(from, { id: null, name: 'On my line', recipe }));
  const family = { ...flowFamily(), base: { ...flowFamily().base, play: own } };
  must(saveFamily(from, { id: null, name: 'Flows on my line', family }));
  return { from, to, id };
}

describe('importBundle', () => {
  it('brings everything, with ids of its own, and what goes together goes together', () => {
    const { from, to, id } = studios();
    const bundle = must(readBundle(must(exportStudio(from, false))));
    const seen = must(lookIntoBundle(to, bundle));
    expect(seen).toEqual({
      materials: ['My line'],
      exercises: ['On my line'],
      known: ['Cells'],
      families: ['Flows on my line', 'Cells, displaced'],
      programs: [{ name: 'Autumn', items: 1 }],
      students: [],
      knownStudents: [],
      settings: [],
      knownSettings: [],
    });
    const imported = must(importBundle(to, bundle));
    expect(imported.exercises).toHaveLength(1);
    const [material] = must(listMaterials(to));
    expect(material?.name).toBe('My line');
    expect(material?.id).not.toBe(id);
    const [exercise] = to.store.exercises.list();
    expect(exercise?.recipe.play).toMatchObject({ id: material?.id, version: 1 });
    const familyId = imported.families.at(-1);
    const family = familyId && must(getFamily(to, familyId)).family;
    expect(family?.base.play).toMatchObject({ id: material?.id, version: 1 });
    const [programId] = imported.programs;
    const program = programId && must(getProgram(to, programId));
    const [item] = program ? itemsOf(program.outline) : [];
    expect(item && program && recipeHash(program.recipes[item.id] ?? cells())).toBe(item?.hash);
    // The exercise that was here already is the item's, and is not twice.
    const names = must(listExerciseNames(to)).map(({ name }) => name);
    expect(names.sort()).toEqual(['Cells', 'On my line']);
    expect(program && program.stale).toEqual({});
  });

  it('a second time brings programs again, and no exercise twice', () => {
    const { from, to } = studios();
    const bundle = must(readBundle(writeBundle({ exercises: from.store.exercises.list() })));
    must(importBundle(to, bundle));
    const again = must(importBundle(to, bundle));
    expect(again.exercises).toEqual([]);
  });

  it('is taken out again as a whole, and put back', () => {
    const { from, to } = studios();
    const before = [must(listPrograms(to)).length, must(listExerciseNames(to)).length];
    const imported = must(importBundle(to, must(readBundle(must(exportStudio(from, false))))));
    const now = () => [must(listPrograms(to)).length, must(listExerciseNames(to)).length];
    expect(now()).toEqual([2, 2]);
    must(archiveImported(to, imported, true));
    expect(now()).toEqual(before);
    must(archiveImported(to, imported, false));
    expect(now()).toEqual([2, 2]);
  });

  it('a recipe of a material goes on with the version that it was made of', () => {
    const { from, to, id } = studios();
    const again = { kind: 'line' as const, trains: '', meter: '4/4', content: { text: '4 4 4 4' } };
    must(saveMaterial(from, { id, name: 'My line', ...again }));
    must(importBundle(to, must(readBundle(must(exportStudio(from, false))))));
    const [material] = must(listMaterials(to));
    const [exercise] = to.store.exercises.list();
    expect(material).toMatchObject({ version: 2, content: { text: '4 4 4 4' } });
    expect(exercise?.recipe.play).toMatchObject({ id: material?.id, version: 1 });
  });

  it('a part that cannot be stored leaves nothing behind', () => {
    const { from, to } = studios();
    const bundle = must(readBundle(must(exportStudio(from, false))));
    const [material] = bundle.materials;
    const broken = { ...material, meter: 'x/y' } as (typeof bundle.materials)[number];
    const refused = importBundle(to, { ...bundle, materials: [...bundle.materials, broken] });
    expect(refused.ok).toBe(false);
    expect(must(listMaterials(to))).toEqual([]);
  });
});

/** A text in which each id is told by where it stands first. */
function withoutIds(text: string): string {
  const seen = new Map<string, string>();
  return text.replace(/\b[0-9a-hjkmnp-tv-z]{22}\b/g, (id) => {
    const known = seen.get(id) ?? `id ${seen.size}`;
    seen.set(id, known);
    return known;
  });
}

/** A studio in which much was done, taken back, and changed since. */
function livedIn(context: TestContext) {
  const studio = smallStudio(context);
  const { teacher, student, id, exercise, program, item, assignment } = studio;
  must(setSpeech(teacher, { notes: 'british', syllables: 'english' }));
  must(setSteps(teacher, ['limbs']));
  must(setKit(teacher, id, { ...FULL_KIT, handedness: 'left-lead' }));
  must(setSchedule(teacher, id, { ...USUAL_SCHEDULE, since: '2026-01-05' as Day }));
  must(setStart(teacher, assignment, item, 66));
  const played = tryOf(studio, { verdict: 'shaky' });
  log(student, id, played, about('broke', played.id, { beat: 2 }));
  context.at += 60_000;
  const wrong = tryOf(studio, { verdict: 'lost' }, { sessionId: played.sessionId });
  log(student, id, wrong, about('remark', wrong.id, { text: 'Too loud' }));
  log(teacher, id, decision(studio, { does: 'move', rung: 2 }), takenBack(wrong.id, teacher));
  context.at += 86_400_000;
  // Saved anew since it was put in; the item that was practised is gone; the program is in its second version.
  must(saveExercise(teacher, { id: exercise.id, name: 'Cells', recipe: cells('8 4. 8 4.') }));
  const other = must(saveExercise(teacher, { id: null, name: 'Other', recipe: cells('4 4 2') }));
  must(addItem(teacher, program, other.id));
  const { revision, outline } = must(getProgram(teacher, program));
  const without = withoutItems(outline, new Set([item]));
  must(saveOutline(teacher, program, { revision, outline: without }));
  // Given, practised, taken back, and changed in place after it.
  const winter = must(createProgram(teacher, 'Winter'));
  const gone = must(addItem(teacher, winter, other.id));
  const given = must(giveProgram(teacher, winter, id));
  log(student, id, tryOf({ student, item: gone, assignment: given }));
  must(takeBack(teacher, given, true));
  const now = must(getProgram(teacher, winter));
  const emptied = withoutItems(now.outline, new Set([gone]));
  must(saveOutline(teacher, winter, { revision: now.revision, outline: emptied }));
  must(archiveProgram(teacher, winter, true));
  must(archiveExercise(teacher, other.id, true));
  return { ...studio, outline: emptied };
}

function emptyStudio(context: TestContext): Teacher {
  const id = must(openStudio(context, { studio: 'New', teacher: 'Bo', zone: 'UTC' }));
  return must(asTeacher(context, viewerOf(context, id)));
}

describe('a whole studio', () => {
  it('in another one is the same, but for its ids: what is written again is what was written', () => {
    const context = testContext();
    const { teacher, id } = livedIn(context);
    const text = must(exportStudio(teacher, true));
    const to = emptyStudio(context);
    const bundle = must(readBundle(text));
    expect(must(lookIntoBundle(to, bundle))).toMatchObject({
      students: [{ name: 'Ines', tries: 2 }],
      programs: [{ name: 'Autumn', items: 1 }],
      exercises: ['Cells'],
      settings: ['speech', 'steps'],
    });
    const { people } = must(importBundle(to, bundle));
    expect(withoutIds(must(exportStudio(to, true)))).toBe(withoutIds(text));
    const [came] = people;
    const recordOf = (me: Teacher, of: PersonId) => withoutIds(JSON.stringify(getRecord(me, of)));
    const record = must(getRecord(to, came as PersonId));
    expect(record.items).toHaveLength(must(getRecord(teacher, id)).items.length);
    const seqs = /"(seq|lastSeq)":\d+/g;
    expect(recordOf(to, came as PersonId).replace(seqs, '')).toBe(
      recordOf(teacher, id).replace(seqs, ''),
    );
  });

  it('one student goes alone, with what they were given', () => {
    const context = testContext();
    const { teacher, id } = livedIn(context);
    must(addStudent(teacher, { name: 'Omar', about: '' }));
    must(createProgram(teacher, 'Nobody has it'));
    const bundle = must(readBundle(must(exportStudent(teacher, id))));
    expect(bundle.students.map(({ name }) => name)).toEqual(['Ines']);
    expect(bundle.programs.map(({ name }) => name)).toEqual(['Winter', 'Autumn']);
    const to = emptyStudio(context);
    const imported = must(importBundle(to, bundle));
    expect(imported.people).toHaveLength(1);
    expect(must(exportStudent(to, imported.people[0] as PersonId)).length).toBe(
      must(exportStudent(teacher, id)).length,
    );
  });

  it('a student of a name that is here already is left, and the studio’s own log stays', () => {
    const context = testContext();
    const { teacher, id } = livedIn(context);
    const before = withoutIds(JSON.stringify(getRecord(teacher, id)));
    const bundle = must(readBundle(must(exportStudio(teacher, true))));
    must(setSteps(teacher, ['pairs']));
    const look = must(lookIntoBundle(teacher, bundle));
    expect(look).toMatchObject({ settings: [], knownSettings: ['steps'] });
    expect(look).toMatchObject({ students: [], knownStudents: ['Ines'] });
    expect(must(importBundle(teacher, bundle)).people).toEqual([]);
    expect(withoutIds(JSON.stringify(getRecord(teacher, id)))).toBe(before);
  });

  it('goes out again as a whole', () => {
    const context = testContext();
    const { teacher } = livedIn(context);
    const bundle = must(readBundle(must(exportStudio(teacher, true))));
    const to = emptyStudio(context);
    const empty = must(exportStudio(to, false));
    const imported = must(importBundle(to, bundle));
    must(archiveImported(to, imported, true));
    expect(must(exportStudio(to, false))).toBe(empty);
    expect(must(listStudents(to))).toEqual([]);
    must(archiveImported(to, imported, false));
    expect(withoutIds(must(exportStudio(to, true)))).toBe(
      withoutIds(must(exportStudio(teacher, true))),
    );
  });
});
