import { describe, expect, it } from 'vitest';
import { USUAL_STEPS } from '@/core/path';
import { must } from '@/core/issue';
import { FULL_KIT } from '@/core/kit';
import { blankRecipe, close, expand, shippedIngredients, toggleOstinato } from '@/core/recipe';
import { shapeKey } from '@/core/analysis';
import type { MaterialContents, MaterialKind } from '@/core/materials';
import { stickingStart } from '@/core/sticking';
import type { MaterialId } from '@/core/studio';
import { ENGLISH, sayIssue } from '@/words';
import {
  archiveMaterial,
  findTwins,
  getSteps,
  setSteps,
  getSpeech,
  listMaterials,
  listRoster,
  saveExercise,
  saveMaterial,
  setKit,
  setSpeech,
} from '.';
import { cells, smallStudio, testContext } from './studio.fixture';

const LANES = [{ limb: 'RF', voice: 'bass', slot: '16', grid: 'x--x--x-' }] as const;
const OSTINATO = { meter: '4/4', swung: false, lanes: LANES };

function input(kind: MaterialKind, content: object, id: MaterialId | null = null) {
  return { id, kind, name: 'mine', trains: 'feet', meter: '4/4', content };
}

describe('own materials', () => {
  it('are versioned: an exercise keeps the version it was made with', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const first = must(saveMaterial(teacher, input('ostinato', OSTINATO)));
    const [made] = must(listMaterials(teacher));
    if (made?.kind !== 'ostinato') throw new Error('no ostinato');
    const recipe = toggleOstinato(blankRecipe(), made.id, made);
    context.at += 1000;
    const edited = { ...OSTINATO, lanes: [{ ...LANES[0], grid: 'xxxx' }] };
    const second = must(saveMaterial(teacher, input('ostinato', edited, first.id)));
    expect([first.version, second.version]).toEqual([1, 2]);
    const [now] = must(listMaterials(teacher));
    const content = now?.content as MaterialContents['ostinato'] | undefined;
    expect(content?.lanes[0]?.grid).toBe('xxxx');
    expect(recipe.over[0]?.version).toBe(1);
    expect(must(expand(recipe)).strokes).toHaveLength(6);
  });

  it('archived ones stay for what was made with them', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const { id } = must(saveMaterial(teacher, input('line', { text: '4 4 4 4' })));
    must(archiveMaterial(teacher, id, true));
    expect(must(listMaterials(teacher))).toMatchObject([{ id, archived: true }]);
    must(archiveMaterial(teacher, id, false));
    expect(must(listMaterials(teacher))).toMatchObject([{ id, archived: false }]);
  });

  it.each([
    ['line', { text: '4 4 4 | 4' }, 'Bar 1 holds 3 quarters, a quarter short of a bar of 4/4.'],
    ['sticking', stickingStart('RLX'), 'Stroke 3: “X” is not a limb.'],
    ['cells', { cells: { 3: 'RL' } }, 'The cell RL has 2 strokes, but stands for a gap of 3.'],
    [
      'ostinato',
      { ...OSTINATO, lanes: [{ ...LANES[0], grid: 'x-q-' }] },
      'Slot 3: “q” is not a grid mark.',
    ],
    ['rules', { rules: [] }, 'This exercise cannot be read: rules'],
  ] as const)(
    'a %s that cannot be read is refused and nothing is stored',
    (kind, content, says) => {
      const context = testContext();
      const { teacher } = smallStudio(context);
      const saved = saveMaterial(teacher, input(kind, content));
      expect(saved.ok ? '' : sayIssue(ENGLISH, saved.issues[0] ?? never())).toContain(says);
      expect(must(listMaterials(teacher))).toEqual([]);
    },
  );

  it('belong to their studio', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const other = smallStudio(context).teacher;
    const { id } = must(saveMaterial(teacher, input('line', { text: '4 4 4 4' })));
    expect(must(listMaterials(other))).toEqual([]);
    expect(archiveMaterial(other, id, true)).toMatchObject({ ok: false });
    expect(saveMaterial(other, input('line', { text: '2 2' }, id))).toMatchObject({
      ok: false,
    });
  });

  it('shipped ones are found by id, and only in their version', () => {
    expect(shippedIngredients('line', 'rudiment-16', 1)).toMatchObject({ slot: '16' });
    const missing = close({
      ...blankRecipe(),
      play: { id: 'rudiment-16', version: 2 },
    });
    expect(missing).toMatchObject({ ok: false, issues: [{ code: 'ingredient-missing' }] });
  });
});

function never(): never {
  throw new Error('no issue');
}

describe('kits and speech', () => {
  it('a student keeps the kit that was set; another studio cannot set it', () => {
    const context = testContext();
    const { teacher, student } = smallStudio(context);
    const kit = { ...FULL_KIT, name: 'Ines', handedness: 'mirrored' as const };
    must(setKit(teacher, student.store.id, kit));
    expect(must(listRoster(teacher))[0]?.kit).toEqual(kit);
    const other = smallStudio(context).teacher;
    expect(setKit(other, student.store.id, kit)).toMatchObject({ ok: false });
  });

  it('a studio counts as it likes; its students see it', () => {
    const context = testContext();
    const { teacher, student } = smallStudio(context);
    expect(getSpeech(student)).toEqual({ notes: 'american', syllables: 'english' });
    must(setSpeech(teacher, { notes: 'british', syllables: 'takadimi' }));
    expect(getSpeech(student)).toEqual({ notes: 'british', syllables: 'takadimi' });
  });
});

describe('steps', () => {
  it('are the studio’s own once it says so', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    expect(getSteps(teacher)).toEqual(USUAL_STEPS);
    must(setSteps(teacher, ['pairs', 'halves']));
    expect(getSteps(teacher)).toEqual(['pairs', 'halves']);
  });
});

describe('findTwins', () => {
  it('finds what sounds the same from another place on', () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    const change = { kind: 'displace', what: 'pattern', part: 'all', by: 1, slot: '8' } as const;
    const recipe = { ...cells(), changes: [change] };
    must(saveExercise(teacher, { id: null, name: 'later', recipe }));
    const shape = shapeKey(must(expand(cells())), 'sound');
    const names = must(findTwins(teacher, shape)).map((one) => one.name);
    expect(names.sort()).toEqual(['Cells', 'later']);
    expect(must(findTwins(teacher, ''))).toEqual([]);
  });
});
