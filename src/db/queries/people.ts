import { and, asc, eq, isNull } from 'drizzle-orm';
import type { KitProfile } from '@/core/kit';
import type { StepKind } from '@/core/path';
import type { Schedule } from '@/core/plan';
import type { Person, PersonId, Speech, StudioId } from '@/core/studio';
import type { Db } from '../open';
import { person, studio } from '../schema';

export interface Studio {
  readonly id: StudioId;
  readonly name: string;
  readonly zone: string;
  readonly speech: Speech | null;
  readonly steps: readonly StepKind[] | null;
}

export function listStudios(db: Db): Studio[] {
  return db.select().from(studio).orderBy(asc(studio.id)).all();
}

export function findStudio(db: Db, id: StudioId): Studio | null {
  return db.select().from(studio).where(eq(studio.id, id)).get() ?? null;
}

export function insertStudio(db: Db, row: Studio): void {
  db.insert(studio).values(row).run();
}

const columns = {
  id: person.id,
  name: person.name,
  role: person.role,
  about: person.about,
  kit: person.kit,
};

/** Teachers first, then students, each in the order in which they came. */
export function listPeople(db: Db, studioId: StudioId): Person[] {
  return db
    .select(columns)
    .from(person)
    .where(and(eq(person.studioId, studioId), isNull(person.archivedAt)))
    .orderBy(asc(person.id))
    .all()
    .sort((a, b) => (a.role === b.role ? 0 : a.role === 'teacher' ? -1 : 1));
}

export function findPerson(db: Db, id: PersonId): (Person & { studioId: StudioId }) | null {
  return (
    db
      .select({ ...columns, studioId: person.studioId })
      .from(person)
      .where(and(eq(person.id, id), isNull(person.archivedAt)))
      .get() ?? null
  );
}

export function insertPerson(db: Db, row: Person & { studioId: StudioId }): void {
  db.insert(person).values(row).run();
}

export function setPersonKit(db: Db, id: PersonId, kit: KitProfile): void {
  db.update(person).set({ kit }).where(eq(person.id, id)).run();
}

/** When a student practises; null until somebody says so. */
export function findSchedule(db: Db, id: PersonId): Schedule | null {
  const of = eq(person.id, id);
  return db.select({ schedule: person.schedule }).from(person).where(of).get()?.schedule ?? null;
}

export function setSchedule(db: Db, id: PersonId, schedule: Schedule): void {
  db.update(person).set({ schedule }).where(eq(person.id, id)).run();
}

export function setStudioSpeech(db: Db, id: StudioId, speech: Speech): void {
  db.update(studio).set({ speech }).where(eq(studio.id, id)).run();
}

export function setStudioSteps(db: Db, id: StudioId, steps: readonly StepKind[]): void {
  db.update(studio).set({ steps }).where(eq(studio.id, id)).run();
}
