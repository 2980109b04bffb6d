import { and, asc, eq, gt, inArray, isNull, or, sql } from 'drizzle-orm';
import type { KitProfile } from '@/core/kit';
import type { StepKind } from '@/core/path';
import type { Schedule } from '@/core/plan';
import { ROLES, type Person, type PersonId, type Speech, type StudioId } from '@/core/studio';
import type { Connection } from '../connection';
import { prepared } from '../prepared';
import { pass, person, signIn, studio, tablet } from '../schema';

export interface Studio {
  readonly id: StudioId;
  readonly name: string;
  readonly zone: string;
  readonly speech: Speech | null;
  readonly steps: readonly StepKind[] | null;
  readonly address: string | null;
  readonly demo: boolean;
}

const columns = {
  id: person.id,
  name: person.name,
  role: person.role,
  about: person.about,
  kit: person.kit,
};

const findStudio = prepared((db) =>
  db
    .select()
    .from(studio)
    .where(eq(studio.id, sql.placeholder('studio')))
    .prepare(),
);

const findPerson = prepared((db) =>
  db
    .select({ ...columns, studioId: person.studioId })
    .from(person)
    .where(and(eq(person.id, sql.placeholder('person')), isNull(person.archivedAt)))
    .prepare(),
);

/** A person, whichever studio they belong to. */
export function personOf(db: Connection, id: PersonId) {
  return findPerson(db).get({ person: id }) ?? null;
}

/** The studio itself, and who belongs to it. */
export function peopleOf(db: Connection, studioId: StudioId) {
  const one = (of: PersonId) => and(eq(person.studioId, studioId), eq(person.id, of));
  const here = eq(studio.id, studioId);
  return {
    studio(): Studio {
      const found = findStudio(db).get({ studio: studioId });
      if (!found) throw new Error(`no studio ${studioId}`);
      return found;
    },

    setSpeech(speech: Speech | null): void {
      db.update(studio).set({ speech }).where(here).run();
    },

    setSteps(steps: readonly StepKind[] | null): void {
      db.update(studio).set({ steps }).where(here).run();
    },

    setAddress(address: string | null): void {
      db.update(studio).set({ address }).where(here).run();
    },

    /** The owner first, then teachers, then students, each in the order in which they came. */
    list(): Person[] {
      return db
        .select(columns)
        .from(person)
        .where(and(eq(person.studioId, studioId), isNull(person.archivedAt)))
        .orderBy(asc(person.id))
        .all()
        .sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role));
    },

    find(of: PersonId): Person | null {
      const found = personOf(db, of);
      if (found?.studioId !== studioId) return null;
      const { studioId: _, ...rest } = found;
      return rest;
    },

    insert(row: Person): void {
      db.insert(person)
        .values({ ...row, studioId })
        .run();
    },

    /** @returns whether there is such a student */
    archive(of: PersonId, archivedAt: number | null): boolean {
      const student = and(one(of), eq(person.role, 'student'));
      return db.update(person).set({ archivedAt }).where(student).run().changes > 0;
    },

    rename(of: PersonId, name: string): void {
      db.update(person).set({ name }).where(one(of)).run();
    },

    /** Whether students can come in by their numbers, on a tablet of the studio's. */
    hasTablet: () =>
      db.select().from(tablet).where(eq(tablet.studioId, studioId)).get() !== undefined,

    /** Who has a link, a code or a device to come in by. */
    withWaysIn(now: number): ReadonlySet<PersonId> {
      const byPass = db
        .select({ id: pass.personId })
        .from(pass)
        .where(
          and(
            eq(pass.studioId, studioId),
            inArray(pass.kind, ['student', 'code']),
            or(isNull(pass.endsAt), gt(pass.endsAt, now)),
          ),
        );
      const byDevice = db
        .select({ id: signIn.personId })
        .from(signIn)
        .innerJoin(person, eq(person.id, signIn.personId))
        .where(eq(person.studioId, studioId));
      const rows = byPass.union(byDevice).all();
      return new Set(rows.flatMap(({ id }) => (id === null ? [] : [id])));
    },

    setKit(of: PersonId, kit: KitProfile): void {
      db.update(person).set({ kit }).where(one(of)).run();
    },

    /** When a student practises; null until somebody says so. */
    schedule(of: PersonId): Schedule | null {
      const found = db.select({ schedule: person.schedule }).from(person).where(one(of)).get();
      return found?.schedule ?? null;
    },

    setSchedule(of: PersonId, schedule: Schedule): void {
      db.update(person).set({ schedule }).where(one(of)).run();
    },

    /** Which of a student's numbers lets them in on the studio's tablets. */
    pin(of: PersonId): number {
      return db.select({ pin: person.pin }).from(person).where(one(of)).get()?.pin ?? 1;
    },

    setPin(of: PersonId, pin: number): void {
      db.update(person).set({ pin }).where(one(of)).run();
    },
  };
}
