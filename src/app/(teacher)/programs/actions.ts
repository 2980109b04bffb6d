'use server';

import { redirect } from 'next/navigation';
import { revalidatePath } from 'next/cache';
import * as z from 'zod/mini';
import { whole, amount, text, list } from '@/core/shape';
import { fail, ok, type Issue, type Result } from '@/core/issue';
import { stepKindsSchema } from '@/core/path';
import { outlineSchema, STARTER_IDS, type StarterId } from '@/core/program';
import { MOST_TRIES, parseId, speechSchema, type ProgramId } from '@/core/studio';
import {
  archiveImported,
  archiveProgram,
  copyStarter,
  createProgram,
  exportStudio,
  followVersion,
  getProgram,
  giveProgram,
  listVersions,
  renameProgram,
  saveOutline,
  setStart,
  setTemplate,
  shareProgram,
  takeBack,
  type Teacher,
} from '@/server';
import { teacherAction, teacherForm } from '../../act';
import { flag, ids, typedName } from '../../shapes';

/** The program after a use case that changed something about it. */
function after(me: Teacher, id: ProgramId, done: Result<unknown>) {
  return done.ok ? getProgram(me, id) : done;
}

const starter = z.enum(STARTER_IDS as [StarterId, ...StarterId[]]);

const starterNames = z.object({
  program: typedName,
  items: list(typedName, 1, 40),
  cues: list(text(160), 0, 40),
});

/** Copies a program that ships. */
export const copyAsOwn = teacherAction([starter, starterNames], copyStarter);

const named = z.object({ name: typedName, from: z.optional(text(80)) });

export async function create(_before: readonly Issue[], form: FormData): Promise<readonly Issue[]> {
  const made = await teacherForm(form, named, (me, { name, from }) =>
    createProgram(me, name, parseId<'program'>(from ?? '')),
  );
  if (!made.ok) return made.issues;
  revalidatePath('/', 'layout');
  redirect(`/programs/${made.value}`);
}

export const rename = teacherAction([ids.program, typedName], renameProgram, { changes: true });

export const archive = teacherAction([ids.program, flag], archiveProgram, { changes: true });

export const template = teacherAction([ids.program, flag], setTemplate);

/** What the studio made as a file, and who learns there. */
export const exportAll = teacherAction([flag], exportStudio);

const imported = z.object({
  people: list(ids.person, 0, 20_000),
  materials: list(ids.material, 0, 5000),
  exercises: list(ids.exercise, 0, 20_000),
  tries: list(
    z.object({ student: ids.person, ids: list(ids.entry, 0, MOST_TRIES) }),
    0,
    MOST_TRIES,
  ),
  families: list(ids.family, 0, 1000),
  programs: list(ids.program, 0, 1000),
  settings: z.object({ speech: z.nullable(speechSchema), steps: z.nullable(stepKindsSchema) }),
});

/** Takes out what came with a file, or puts it back. */
export const archiveFile = teacherAction([imported, flag], archiveImported, { changes: true });

const change = z.object({ revision: z.int(), outline: outlineSchema });

export const save = teacherAction([ids.program, change], saveOutline);

export const give = teacherAction(
  [ids.program, ids.person],
  (me, id, student) => after(me, id, giveProgram(me, id, student)),
  { changes: true },
);

export const take = teacherAction(
  [ids.program, ids.assignment, flag],
  (me, id, assignment, ended) => after(me, id, takeBack(me, assignment, ended)),
  { changes: true },
);

export const follow = teacherAction(
  [ids.program, list(ids.assignment, 0, 1000), z.nullable(whole(1))],
  (me, id, assignments, version) =>
    after(me, id, followVersion(me, assignments, version ?? undefined)),
  { changes: true },
);

/** A student's own version, before the program is handed out. */
export const preview = teacherAction([ids.program, ids.person], (me, id, student) => {
  const versions = listVersions(me, id, student);
  if (!versions.ok) return versions;
  const [version] = versions.value;
  return version ? ok(version) : fail({ code: 'not-found', path: ['student'], what: 'student' });
});

/** Tempo from which a student starts an item; null leaves it to the ladder. */
export const start = teacherAction(
  [ids.assignment, ids.item, z.nullable(amount(20, 400))],
  setStart,
  { changes: true },
);

/** Shares a program at a private address, or no longer. */
export const share = teacherAction([ids.program, flag], shareProgram, { changes: true });
