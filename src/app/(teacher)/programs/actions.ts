'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { fail, type Issue, type Result } from '@/core/issue';
import { outlineSchema } from '@/core/program';
import { idSchema, parseId, type Program, type StudentVersion } from '@/core/studio';
import {
  archiveProgram,
  createProgram,
  followVersion,
  getProgram,
  giveProgram,
  listVersions,
  renameProgram,
  saveOutline,
  setStart,
  setTemplate,
  takeBack,
} from '@/server';
import { teacherVisit, type Visit } from '../../viewer';

const programId = idSchema<'program'>();
const assignmentId = idSchema<'assignment'>();
const personId = idSchema<'person'>();
const typed = z.string().max(200);

/** The pages of a program, and those of whoever has it. */
function seen<T>(result: Result<T>): Result<T> {
  if (result.ok) revalidatePath('/', 'layout');
  return result;
}

/** The program after a use case that changed something about it. */
function after({ context, viewer }: Visit, id: Program['id'], done: Result<unknown>) {
  return done.ok ? getProgram(context, viewer, id) : done;
}

export async function create(_before: readonly Issue[], form: FormData): Promise<readonly Issue[]> {
  const { context, viewer } = await teacherVisit();
  const from = parseId<'program'>(String(form.get('from') ?? ''));
  const made = seen(createProgram(context, viewer, typed.parse(form.get('name')), from));
  if (!made.ok) return made.issues;
  redirect(`/programs/${made.value}`);
}

export async function rename(id: unknown, name: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(renameProgram(context, viewer, programId.parse(id), typed.parse(name)));
}

export async function archive(id: unknown, archived: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(archiveProgram(context, viewer, programId.parse(id), z.boolean().parse(archived)));
}

export async function template(id: unknown, on: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return setTemplate(context, viewer, programId.parse(id), z.boolean().parse(on));
}

const change = z.object({ revision: z.int(), outline: outlineSchema });

export async function save(id: unknown, typedChange: unknown): Promise<Result<Program>> {
  const { context, viewer } = await teacherVisit();
  const read = change.safeParse(typedChange);
  if (!read.success) {
    const what = read.error.issues.map((one) => `${one.path.join(' ')}: ${one.message}`).join('; ');
    return fail({ code: 'recipe-shape', path: [], what });
  }
  return saveOutline(context, viewer, programId.parse(id), read.data);
}

export async function give(id: unknown, student: unknown): Promise<Result<Program>> {
  const visit = await teacherVisit();
  const program = programId.parse(id);
  const done = giveProgram(visit.context, visit.viewer, program, personId.parse(student));
  return seen(after(visit, program, done));
}

export async function take(
  id: unknown,
  assignment: unknown,
  ended: unknown,
): Promise<Result<Program>> {
  const visit = await teacherVisit();
  const given = assignmentId.parse(assignment);
  const done = takeBack(visit.context, visit.viewer, given, z.boolean().parse(ended));
  return seen(after(visit, programId.parse(id), done));
}

export async function follow(
  id: unknown,
  assignments: unknown,
  version: unknown,
): Promise<Result<Program>> {
  const visit = await teacherVisit();
  const ids = z.array(assignmentId).parse(assignments);
  const to = z.int().min(1).nullable().parse(version) ?? undefined;
  return seen(
    after(visit, programId.parse(id), followVersion(visit.context, visit.viewer, ids, to)),
  );
}

/** A student's own version, before the program is handed out. */
export async function preview(id: unknown, student: unknown): Promise<Result<StudentVersion>> {
  const { context, viewer } = await teacherVisit();
  const versions = listVersions(context, viewer, programId.parse(id), personId.parse(student));
  if (!versions.ok) return versions;
  const [version] = versions.value;
  return version
    ? { ok: true, value: version }
    : fail({ code: 'not-found', path: ['student'], what: 'student' });
}

/** Tempo from which a student starts an item; null leaves it to the ladder. */
export async function start(
  assignment: unknown,
  item: unknown,
  startBpm: unknown,
): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const given = assignmentId.parse(assignment);
  const bpm = z.number().min(20).max(400).nullable().parse(startBpm);
  return seen(setStart(context, viewer, given, idSchema<'item'>().parse(item), bpm));
}
