import { describe, expect, it } from 'vitest';
import { readBundle, writeBundle } from '@/core/format';
import { flowFamily } from '@/core/family';
import { must } from '@/core/issue';
import { itemsOf } from '@/core/program';
import { recipeHash } from '@/core/recipe';
import {
  archiveImported,
  exportStudio,
  getFamily,
  importBundle,
  listExerciseNames,
  listMaterials,
  listPrograms,
  getProgram,
  lookIntoBundle,
  saveExercise,
  saveFamily,
  saveMaterial,
} from '.';
import { cells, smallStudio, testContext } from './studio.fixture';

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
    const bundle = must(readBundle(must(exportStudio(from))));
    const seen = must(lookIntoBundle(to, bundle));
    expect(seen).toEqual({
      materials: ['My line'],
      exercises: ['On my line'],
      known: ['Cells'],
      families: ['Flows on my line', 'Cells, displaced'],
      programs: [{ name: 'Autumn', items: 1 }],
    });
    const imported = must(importBundle(to, bundle));
    expect(imported.exercises).toHaveLength(1);
    const [material] = must(listMaterials(to));
    expect(material?.name).toBe('My line');
    expect(material?.id).not.toBe(id);
    const [exercise] = to.store.exercises.list();
    expect(exercise?.recipe.play).toMatchObject({ id: material?.id, version: 1 });
    const [familyId] = imported.families;
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
    const imported = must(importBundle(to, must(readBundle(must(exportStudio(from))))));
    const now = () => [must(listPrograms(to)).length, must(listExerciseNames(to)).length];
    expect(now()).toEqual([2, 2]);
    must(archiveImported(to, imported, true));
    expect(now()).toEqual(before);
    must(archiveImported(to, imported, false));
    expect(now()).toEqual([2, 2]);
  });

  it('a part that cannot be stored leaves nothing behind', () => {
    const { from, to } = studios();
    const bundle = must(readBundle(must(exportStudio(from))));
    const [material] = bundle.materials;
    const broken = { ...material, meter: 'x/y' } as (typeof bundle.materials)[number];
    const refused = importBundle(to, { ...bundle, materials: [...bundle.materials, broken] });
    expect(refused.ok).toBe(false);
    expect(must(listMaterials(to))).toEqual([]);
  });
});
