'use server';

import { revalidatePath } from 'next/cache';
import * as z from 'zod/mini';
import { text, list } from '@/core/shape';
import { daySchema } from '@/core/calendar';
import { ok, type Issue } from '@/core/issue';
import { kitSchema } from '@/core/kit';
import type { PersonId } from '@/core/studio';
import {
  addStudent,
  appendEntry,
  backUpNow,
  exportRoster,
  exportStudent,
  giveProgram,
  listTries,
  logPaper,
  takeBackTries,
  setKit,
  endDevice,
  endLink,
  endReading,
  eraseStudent,
  letRead,
  makeCode,
  openLink,
  renewPin,
  renewReading,
  setTeaching,
} from '@/server';
import { teacherAction, teacherForm } from '../../act';
import { flag, ids, typedName } from '../../shapes';

const typed = z.object({ name: typedName, about: text(200), link: z.optional(text(10)) });

/** Who was added when it went well, and the path of their private link where it was asked for. */
interface Answer {
  readonly issues: readonly Issue[];
  readonly added: { readonly id: PersonId; readonly link: string | null } | null;
}

export async function add(_before: Answer, form: FormData): Promise<Answer> {
  const added = await teacherForm(form, typed, (me, { link, ...person }) => {
    const id = addStudent(me, person);
    if (!id.ok) return id;
    const path = link === undefined ? ok(null) : openLink(me, id.value, false);
    return path.ok ? ok({ id: id.value, link: path.value }) : path;
  });
  if (!added.ok) return { issues: added.issues, added: null };
  revalidatePath('/students');
  return { issues: [], added: added.value };
}

/** A copy of the studio file, now. */
export const backUp = teacherAction([], backUpNow);

/** The roster as a table. */
export const rosterOf = teacherAction([], exportRoster);

/** A student with what they were given and their log, as a file. */
export const studentAsFile = teacherAction([ids.person], exportStudent);

/** What a student plays on, and how. */
export const setStudentKit = teacherAction([ids.person, kitSchema], setKit, {
  changes: true,
});

export const giveTo = teacherAction(
  [ids.person, ids.program],
  (me, student, program) => giveProgram(me, program, student),
  { changes: true },
);

/** What the teacher decides, writes or takes back, as an entry of the student's log. */
export const logFor = teacherAction([ids.person, z.unknown()], appendEntry, { changes: true });

/** Tries of an item before one that is shown. */
export const earlierTries = teacherAction(
  [ids.person, ids.item, z.object({ day: daySchema, seq: z.int() })],
  listTries,
);

const cells = list(
  z.object({
    assignmentId: ids.assignment,
    itemId: ids.item,
    day: daySchema,
    text: text(200),
    ids: list(ids.entry, 0, 200),
  }),
  0,
  2000,
);

/** Takes tries back out of the log. */
export const takeBackPaper = teacherAction(
  [ids.person, list(ids.entry, 0, 5000)],
  (me, student, tries) => takeBackTries(me, student, tries, true),
  { changes: true },
);

/** Puts a typed paper week into the log. */
export const storePaper = teacherAction([ids.person, ids.session, cells], logPaper, {
  changes: true,
});

/** The student's private link; the flag makes another one. */
export const linkOf = teacherAction([ids.person, flag], openLink, { changes: true });

export const endLinkOf = teacherAction([ids.person], endLink, { changes: true });

/** A code that lets the student in once. */
export const codeFor = teacherAction([ids.person], makeCode, { changes: true });

/** Another number for the studio's tablets. */
export const pinFor = teacherAction([ids.person], renewPin, { changes: true });

/** Signs the student out on a device, or on all of them. */
export const endDeviceOf = teacherAction([ids.person, z.nullable(text(40))], endDevice, {
  changes: true,
});

/** Lets somebody read the record, for so many days or until it is ended. */
export const letReadOf = teacherAction(
  [ids.person, typedName, z.nullable(z.int().check(z.minimum(1), z.maximum(3660)))],
  letRead,
  { changes: true },
);

/** Another link for a reader, for as long again. */
export const renewReadingOf = teacherAction([ids.person, text(40)], renewReading, {
  changes: true,
});

export const endReadingOf = teacherAction([ids.person, text(40)], endReading, { changes: true });

/** Who teaches the student besides. */
export const setTeacherOf = teacherAction([ids.person, ids.person, flag], setTeaching, {
  changes: true,
});

/** Takes the student out of the studio for good. */
export const erase = teacherAction([ids.person, typedName], eraseStudent, { changes: true });
