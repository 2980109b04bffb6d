'use server';

import { ok } from '@/core/issue';
import { listExerciseNames, listPrograms, listRoster } from '@/server';
import type { PaletteEntry } from '@/ui/shell';
import { teacherAction } from '../act';

/** Everything of the studio that the palette can go to. */
export const findTargets = teacherAction([], (me) => {
  const exercises = listExerciseNames(me);
  const programs = listPrograms(me);
  const students = listRoster(me);
  return ok<readonly PaletteEntry[]>([
    ...(exercises.ok ? exercises.value : []).map((one): PaletteEntry => ({
      group: 'exercises',
      name: one.name,
      href: `/bench?x=${one.id}`,
    })),
    ...(programs.ok ? programs.value : []).map((one): PaletteEntry => ({
      group: 'programs',
      name: one.name,
      href: `/programs/${one.id}`,
    })),
    ...(students.ok ? students.value : []).map((student): PaletteEntry => ({
      group: 'students',
      name: student.name,
      href: `/students/${student.id}`,
    })),
  ]);
});
