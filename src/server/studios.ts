import { fail, ok, type Result } from '@/core/issue';
import { PLAIN_SPEECH, type PersonId, type Speech, type Viewer } from '@/core/studio';
import { USUAL_STEPS, type StepKind } from '@/core/path';
import * as db from '@/db';
import type { Student, Teacher } from './authority';
import { newId, type Context } from './context';
import { knowAddress } from './hosts';
import { readName } from './names';

/** The studios of a file, and who belongs to them. */
export function listDoors(context: Context): readonly db.StudioDoor[] {
  return db.listDoors(context.db);
}

/** The viewer that a person is; null when there is no such person (any more). */
export function viewerOf(context: Context, personId: PersonId): (Viewer & { name: string }) | null {
  return db.findViewer(context.db, personId);
}

/** What a new studio and its owner are called. @returns issues `name-missing` of both */
export function readStudioNames(input: {
  studio: string;
  teacher: string;
}): Result<{ readonly studio: string; readonly teacher: string }> {
  const studio = readName(input.studio, 'studio');
  const teacher = readName(input.teacher, 'teacher');
  if (studio.ok && teacher.ok) return ok({ studio: studio.value, teacher: teacher.value });
  return fail(
    ...(studio.ok ? [] : studio.issues.map((issue) => ({ ...issue, path: ['studio'] }))),
    ...(teacher.ok ? [] : teacher.issues.map((issue) => ({ ...issue, path: ['teacher'] }))),
  );
}

/** Opens a studio with its owner, who teaches in it. `demo` opens one to look around in, for everybody.
 * @param zone IANA time zone in which practice days are counted */
export function openStudio(
  context: Context,
  input: { studio: string; teacher: string; zone: string; demo?: boolean },
): Result<PersonId> {
  const names = readStudioNames(input);
  if (!names.ok) return names;
  const { studio, teacher } = names.value;
  const zone = knownZone(input.zone);
  const id = newId<'studio'>(context);
  const { demo = false } = input;
  const none = { speech: null, steps: null, address: null };
  const owner = {
    id: newId<'person'>(context),
    ...{ name: teacher, about: '', kit: null },
  };
  db.openStudioStore(context.db, { id, name: studio, zone, demo, ...none }, owner);
  return ok(owner.id);
}

/** The browser's zone, or UTC where it names one that this machine does not know. */
function knownZone(zone: string): string {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone;
  } catch {
    return 'UTC';
  }
}

export function addStudent(me: Teacher, input: { name: string; about: string }): Result<PersonId> {
  const name = readName(input.name, 'student');
  if (!name.ok) return name;
  const id = newId<'person'>(me);
  const about = input.about.trim();
  me.store.addPerson({ id, role: 'student', name: name.value, about, kit: null });
  return ok(id);
}

/** How the studio names note values and counts. */
export function getSpeech({ store }: Teacher | Student): Speech {
  return store.studio().speech ?? PLAIN_SPEECH;
}

export function setSpeech({ store }: Teacher, speech: Speech): Result<null> {
  store.setSpeech(speech);
  return ok(null);
}

/** Where the studio is reached by others; null where nobody has said so. */
export function getAddress({ store }: Teacher): string | null {
  return store.studio().address;
}

/** Sets where the studio is reached: what codes on paper lead to. Empty takes it away.
 * @returns what is kept of it; issue `address` for anything but http or https and a host */
export function setAddress({ store }: Teacher, text: string): Result<string | null> {
  const typed = text.trim();
  if (typed === '') {
    store.setAddress(null);
    return ok(null);
  }
  const url = URL.canParse(typed) ? new URL(typed) : null;
  if (!url || !/^https?:$/.test(url.protocol)) {
    return fail({ code: 'address', path: ['address'], text: typed });
  }
  store.setAddress(url.origin);
  knowAddress(url.origin);
  return ok(url.origin);
}

/** Where the studios of the file are reached is known from the start. */
export function knowAddresses(context: Context): void {
  for (const address of db.listAddresses(context.db)) knowAddress(address);
}

/** Kinds of steps in which the studio builds exercises, in its order. */
export function getSteps({ store }: Teacher): readonly StepKind[] {
  return store.studio().steps ?? USUAL_STEPS;
}

export function setSteps({ store }: Teacher, steps: readonly StepKind[]): Result<null> {
  store.setSteps(steps);
  return ok(null);
}
