'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import type { Issue, Result } from '@/core/issue';
import { decisionSchema } from '@/core/ladder';
import { materialSchemas } from '@/core/recipe';
import { idSchema, type Note } from '@/core/studio';
import {
  addNote,
  addStudent,
  archiveNote,
  decide,
  giveProgram,
  logPaper,
  setKit,
  takeDecisionBack,
} from '@/server';
import { teacherVisit } from '../../viewer';

const person = idSchema<'person'>();
const entry = idSchema<'entry'>();
const session = idSchema<'session'>();
const assignment = idSchema<'assignment'>();
const item = idSchema<'item'>();

const schema = z.object({ name: z.string().max(200), about: z.string().max(400) });

/** `added` names the student when it went well. */
interface Answer {
  readonly issues: readonly Issue[];
  readonly added: string | null;
}

/** A student's pages, the roster and what the student sees. */
function seen<T>(result: Result<T>): Result<T> {
  if (result.ok) revalidatePath('/', 'layout');
  return result;
}

export async function add(_before: Answer, form: FormData): Promise<Answer> {
  const { context, viewer } = await teacherVisit();
  const typed = schema.parse({ name: form.get('name'), about: form.get('about') });
  const added = addStudent(context, viewer, typed);
  if (!added.ok) return { issues: added.issues, added: null };
  revalidatePath('/students');
  return { issues: [], added: typed.name };
}

/** What a student plays on, and how. */
export async function setStudentKit(id: unknown, kit: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(setKit(context, viewer, person.parse(id), materialSchemas.kit.parse(kit)));
}

export async function giveTo(id: unknown, program: unknown): Promise<Result<unknown>> {
  const { context, viewer } = await teacherVisit();
  return seen(giveProgram(context, viewer, idSchema<'program'>().parse(program), person.parse(id)));
}

const of = z.object({ id: entry, sessionId: session, assignmentId: assignment, itemId: item });

export async function decideOn(
  id: unknown,
  about: unknown,
  decision: unknown,
): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const whole = { ...of.parse(about), studentId: person.parse(id) };
  return seen(decide(context, viewer, whole, decisionSchema.parse(decision)));
}

export async function takeBackDecision(id: unknown, decision: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(takeDecisionBack(context, viewer, person.parse(id), entry.parse(decision)));
}

export async function note(id: unknown, text: unknown): Promise<Result<Note>> {
  const { context, viewer } = await teacherVisit();
  return seen(addNote(context, viewer, person.parse(id), z.string().max(500).parse(text)));
}

export async function putNoteAway(
  id: unknown,
  which: unknown,
  archived: unknown,
): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const noteId = idSchema<'note'>().parse(which);
  const away = z.boolean().parse(archived);
  return seen(archiveNote(context, viewer, person.parse(id), noteId, away));
}

const cells = z
  .array(
    z.object({
      assignmentId: assignment,
      itemId: item,
      day: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
      text: z.string().max(200),
      ids: z.array(entry).max(200),
    }),
  )
  .max(2000);

/** Puts a typed paper week into the log. */
export async function storePaper(
  id: unknown,
  sitting: unknown,
  typed: unknown,
): Promise<Result<number>> {
  const { context, viewer } = await teacherVisit();
  return seen(
    logPaper(context, viewer, person.parse(id), session.parse(sitting), cells.parse(typed)),
  );
}
