import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { PersonId, ProgramId } from '@/core/studio';
import { asTeacher, listDoors, listPrograms, liveContext, viewerOf, type Teacher } from '@/server';
import { Missing, need } from './io';

/** What every command asks that works on a studio's folder. */
export interface OnStudio {
  readonly data: string;
  readonly studio?: string;
}

export const DATA = '-d, --data <folder>';
export const DATA_HELP = 'folder that holds mivvel.sqlite';
export const STUDIO = '--studio <name>';
export const STUDIO_HELP = 'which studio, where the file holds several';

/** A studio of a folder, at work as its teacher. @throws Missing where there is none */
export function openStudioOf({ data, studio }: OnStudio): Teacher {
  if (!existsSync(join(data, 'mivvel.sqlite'))) {
    throw new Missing(`${data} holds no mivvel.sqlite. Give the folder of a studio with --data.`);
  }
  process.env.MIVVEL_DATA = data;
  const context = liveContext();
  const doors = listDoors(context);
  const names = doors.map(({ name }) => name).join(', ');
  const door = studio === undefined ? doors[0] : doors.find(({ name }) => name === studio);
  if (!door)
    throw new Missing(`There is no studio ${studio ?? ''}. There are: ${names || 'none'}.`);
  if (studio === undefined && doors.length > 1) {
    throw new Missing(`The file holds several studios: ${names}. Say which with --studio.`);
  }
  const teacher = door.people.find(({ role }) => role === 'teacher');
  return need(asTeacher(context, teacher ? viewerOf(context, teacher.id) : null));
}

/** A program by its name. @throws Missing with the names that there are */
export function programOf(me: Teacher, name: string): ProgramId {
  const all = need(listPrograms(me));
  const found = all.find((one) => one.name === name || one.id === name);
  if (found) return found.id;
  throw new Missing(
    `There is no program ${name}. There are: ${all.map((one) => one.name).join(', ')}.`,
  );
}

/** A student by name. @throws Missing with the names that there are */
export function studentOf(me: Teacher, name: string): PersonId {
  const all = me.store.students().map(({ person }) => person);
  const found = all.find((one) => one.name === name || one.id === name);
  if (found) return found.id;
  throw new Missing(
    `There is no student ${name}. There are: ${all.map((one) => one.name).join(', ')}.`,
  );
}
