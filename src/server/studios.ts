import { fail, ok, type Result } from '@/core/issue';
import {
  PLAIN_SPEECH,
  type Person,
  type PersonId,
  type Speech,
  type StudioId,
  type Viewer,
} from '@/core/studio';
import { STEP_KINDS, type StepKind } from '@/core/path';
import { queries } from '@/db';
import { newId, type Context } from './context';
import { readName, teacherOnly } from './guard';

/** A studio and who may look from it: what the start page offers until there are accounts. */
export interface StudioDoor {
  readonly id: StudioId;
  readonly name: string;
  readonly people: readonly Person[];
}

export function listDoors(context: Context): readonly StudioDoor[] {
  return queries
    .listStudios(context.db)
    .map(({ id, name }) => ({ id, name, people: queries.listPeople(context.db, id) }));
}

/** The viewer that a person is; null when there is no such person (any more). */
export function viewerOf(context: Context, personId: PersonId): (Viewer & { name: string }) | null {
  const person = queries.findPerson(context.db, personId);
  if (!person) return null;
  return { studioId: person.studioId, role: person.role, personId: person.id, name: person.name };
}

/** Opens a studio with its teacher.
 * @param zone IANA time zone in which practice days are counted */
export function openStudio(
  context: Context,
  input: { studio: string; teacher: string; zone: string },
): Result<PersonId> {
  const name = readName(input.studio, 'studio');
  const teacher = readName(input.teacher, 'teacher');
  if (!name.ok || !teacher.ok) {
    return fail(
      ...(name.ok ? [] : name.issues.map((issue) => ({ ...issue, path: ['studio'] }))),
      ...(teacher.ok ? [] : teacher.issues.map((issue) => ({ ...issue, path: ['teacher'] }))),
    );
  }
  const studioId = newId<'studio'>(context);
  const personId = newId<'person'>(context);
  const zone = knownZone(input.zone);
  queries.insertStudio(context.db, {
    id: studioId,
    name: name.value,
    zone,
    speech: null,
    steps: null,
  });
  queries.insertPerson(context.db, {
    id: personId,
    studioId,
    role: 'teacher',
    name: teacher.value,
    about: '',
    kit: null,
  });
  return ok(personId);
}

/** The browser's zone, or UTC where it names one that this machine does not know. */
function knownZone(zone: string): string {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone;
  } catch {
    return 'UTC';
  }
}

export function addStudent(
  context: Context,
  viewer: Viewer,
  input: { name: string; about: string },
): Result<PersonId> {
  const refused = teacherOnly(viewer, 'studio');
  if (refused) return refused;
  const name = readName(input.name, 'student');
  if (!name.ok) return name;
  const id = newId<'person'>(context);
  queries.insertPerson(context.db, {
    id,
    studioId: viewer.studioId,
    role: 'student',
    name: name.value,
    about: input.about.trim().slice(0, 200),
    kit: null,
  });
  return ok(id);
}

/** How the viewer's studio names note values and counts. */
export function getSpeech(context: Context, viewer: Viewer): Speech {
  return queries.findStudio(context.db, viewer.studioId)?.speech ?? PLAIN_SPEECH;
}

export function setSpeech(context: Context, viewer: Viewer, speech: Speech): Result<null> {
  const refused = teacherOnly(viewer, 'studio');
  if (refused) return refused;
  queries.setStudioSpeech(context.db, viewer.studioId, speech);
  return ok(null);
}

/** Kinds of steps in which the studio builds exercises, in its order. */
export function getSteps(context: Context, viewer: Viewer): readonly StepKind[] {
  return queries.findStudio(context.db, viewer.studioId)?.steps ?? STEP_KINDS;
}

export function setSteps(
  context: Context,
  viewer: Viewer,
  steps: readonly StepKind[],
): Result<null> {
  const refused = teacherOnly(viewer, 'studio');
  if (refused) return refused;
  queries.setStudioSteps(context.db, viewer.studioId, steps);
  return ok(null);
}
