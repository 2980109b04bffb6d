import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { PersonId, ProgramId } from '@/core/studio';
import {
  asTeacher,
  getSpeech,
  listDoors,
  listPrograms,
  liveContext,
  viewerOf,
  type Teacher,
} from '@/server';
import { sayAtCommandLineIn, type Say } from '@/words';
import { Missing, need } from './io';
import { SAY } from './say';

/** What every command asks that works on a studio's folder. */
export interface OnStudio {
  readonly data: string;
  readonly studio?: string;
}

/** A studio of a folder, at work as its teacher. @throws Missing where there is none */
export function openStudioOf({ data, studio }: OnStudio): Teacher {
  if (!existsSync(join(data, 'mivvel.sqlite'))) {
    throw new Missing(SAY.t('commandLine.noStudioFile', { folder: data }));
  }
  process.env.MIVVEL_DATA = data;
  const context = liveContext();
  const doors = listDoors(context);
  const names = doors.map(({ name }) => name).join(', ');
  const door = studio === undefined ? doors[0] : doors.find(({ name }) => name === studio);
  if (!door) throw none('commandLine.noStudio', studio ?? '', names);
  if (studio === undefined && doors.length > 1) {
    throw new Missing(SAY.t('commandLine.severalStudios', { names }));
  }
  const owner = door.people.find(({ role }) => role === 'owner');
  return need(asTeacher(context, owner ? viewerOf(context, owner.id) : null));
}

function none(
  said: 'commandLine.noStudio' | 'commandLine.noProgram' | 'commandLine.noStudent',
  name: string,
  names: string,
): Missing {
  return new Missing(SAY.t(said, { name, names: names || SAY.t('commandLine.brings.none') }));
}

/** A program by its name. @throws Missing with the names that there are */
export function programOf(me: Teacher, name: string): ProgramId {
  const all = need(listPrograms(me));
  const found = all.find((one) => one.name === name || one.id === name);
  if (found) return found.id;
  throw none('commandLine.noProgram', name, all.map((one) => one.name).join(', '));
}

/** A student by name. @throws Missing with the names that there are */
export function studentOf(me: Teacher, name: string): PersonId {
  const all = me.store.students().map(({ person }) => person);
  const found = all.find((one) => one.name === name || one.id === name);
  if (found) return found.id;
  throw none('commandLine.noStudent', name, all.map((one) => one.name).join(', '));
}

/** Says things as a studio names and counts. */
export function sayOf(me: Teacher): Say {
  return sayAtCommandLineIn('en-GB', getSpeech(me));
}
