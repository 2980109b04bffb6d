'use server';

import { listExerciseNames, listPrograms, listStudents } from '@/server';
import type { PaletteEntry } from '@/ui/shell';
import { teacherVisit } from '../viewer';

/** Everything of the studio that the palette can go to. */
export async function findTargets(): Promise<readonly PaletteEntry[]> {
  const { context, viewer } = await teacherVisit();
  const exercises = listExerciseNames(context, viewer);
  const programs = listPrograms(context, viewer);
  const students = listStudents(context, viewer);
  return [
    ...(exercises.ok ? exercises.value : []).map((one) => ({
      group: 'Exercises',
      name: one.name,
      href: `/bench?x=${one.id}`,
    })),
    ...(programs.ok ? programs.value : []).map((one) => ({
      group: 'Programs',
      name: one.name,
      href: `/programs/${one.id}`,
    })),
    ...(students.ok ? students.value : []).map(({ student }) => ({
      group: 'Students',
      name: student.name,
      href: `/students/${student.id}`,
    })),
  ];
}
