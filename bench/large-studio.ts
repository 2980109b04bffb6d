import { randomBytes } from 'node:crypto';
import { seeded } from '@/core/chance';
import { must } from '@/core/issue';
import type { Verdict } from '@/core/log';
import { blankRecipe, startOf, toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import { daysAfter, makeId, type PersonId, type SessionId } from '@/core/studio';
import { openDb } from '@/db';
import {
  addItem,
  addStudent,
  asStudent,
  asTeacher,
  createProgram,
  getToday,
  giveProgram,
  openStudio,
  saveExercise,
  viewerOf,
  type Context,
  type Student,
  type Teacher,
} from '@/server';

/** Exercises of the program that everybody has. */
export const ITEMS = 8;
const DAYS = 60;

const LINES = ['4. 4 8 4', '8 4. 8 4.', '4 8 8 4 4', '8r 4 4 8 4'];

export function recipeOf(index: number): ClosedRecipe {
  const over = ['hats-2-4', 'jazz-ride', 'samba-feet', 'rock-8ths-hands'][index % 4] ?? 'hats-2-4';
  return {
    ...toggleOstinato(blankRecipe(), over),
    play: { content: { text: LINES[index >> 1] ?? '4 4 4 4' } },
    as: startOf(index % 2 === 0 ? 'verbatim' : 'short-long'),
    clash: 'merge',
  };
}

export interface Large {
  readonly context: Context;
  readonly file: string;
  readonly teacher: Teacher;
  readonly teacherId: PersonId;
  readonly students: readonly Student[];
}

/** A studio in a file, so that reading is what it is at a desk.
 * @param entries how many tries each student has
 * @param items of the one program that all of them have */
export function largeStudio(file: string, entries: readonly number[], count = ITEMS): Large {
  const context: Context = { db: openDb(file), now: Date.now };
  const studio = { studio: 'Large', teacher: 'Ada', zone: 'Europe/Lisbon' };
  const teacherId = must(openStudio(context, studio));
  const teacher = must(asTeacher(context, viewerOf(context, teacherId)));
  const program = must(createProgram(teacher, 'All'));
  for (let index = 0; index < count; index += 1) {
    const input = { id: null, name: `Exercise ${index + 1}`, recipe: recipeOf(index) };
    must(addItem(teacher, program, must(saveExercise(teacher, input)).id));
  }
  const random = seeded(11);
  const today = new Date(context.now()).toISOString().slice(0, 10);
  const students = entries.map((each, index) => {
    const id = must(addStudent(teacher, { name: `Student ${index + 1}`, about: '' }));
    const assignmentId = must(giveProgram(teacher, program, id));
    const me = must(asStudent(context, viewerOf(context, id)));
    const items = must(getToday(me));
    me.store.together(() => {
      for (let n = 0; n < each; n += 1) {
        const item = items[n % count]?.item;
        if (!item) throw new Error('no item');
        const drawn = random();
        const verdict: Verdict = drawn < 0.7 ? 'clean' : drawn < 0.9 ? 'shaky' : 'lost';
        const day = daysAfter(today, Math.floor((n * DAYS) / each) - DAYS);
        const at = Date.parse(`${day}T17:00:00Z`) + n * 1000;
        const bpm = 60 + 5 * Math.floor(random() * 3);
        me.store.log.insert({
          kind: 'try',
          id: makeId<'entry'>(at, randomBytes(12)),
          by: 'student',
          at,
          day,
          assignmentId,
          itemId: item.id,
          sessionId: sessionOf(day, index),
          about: null,
          hash: item.hash,
          body: { bpm, rung: null, verdict, bars: 40, seconds: 150 },
        });
      }
    });
    return me;
  });
  return { context, file, teacher, teacherId, students };
}

function sessionOf(day: string, index: number): SessionId {
  const bytes = Uint8Array.from({ length: 12 }, (_, at) => (index >> at) % 32);
  return makeId<'session'>(Date.parse(`${day}T17:00:00Z`), bytes);
}
