'use server';

import * as z from 'zod/mini';
import { text } from '@/core/shape';
import {
  addToProgram as add,
  archiveExercise,
  findTwins,
  getExercise,
  saveExercise,
  saveMaterial,
} from '@/server';
import { teacherAction } from '../../act';
import { closedRecipe, flag, ids, toProgram, typedName } from '../../shapes';

const saved = z.object({ id: z.nullable(ids.exercise), name: typedName, recipe: z.unknown() });

export const save = teacherAction([saved], (me, { id, name, recipe }) => {
  const closed = closedRecipe(recipe);
  return closed.ok ? saveExercise(me, { id, name, recipe: closed.value }) : closed;
});

export const archive = teacherAction([ids.exercise, flag], archiveExercise);

/** Adds a saved exercise to a program, or to a new one of this name. */
export const addToProgram = teacherAction([toProgram, ids.exercise], add);

/** A saved exercise, to be put behind another one. */
export const open = teacherAction([ids.exercise], getExercise);

/** Saved exercises that sound like this one, by its shape. */
export const twins = teacherAction([text(100_000)], findTwins);

/** Puts a rules table on the shelf. */
export const saveRules = teacherAction(
  [typedName, z.unknown()],
  (me, name, rules) =>
    saveMaterial(me, {
      id: null,
      kind: 'rules',
      name,
      trains: '',
      meter: null,
      content: { rules },
    }),
  { changes: true },
);
