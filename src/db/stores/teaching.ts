import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import type { PersonId, StudioId } from '@/core/studio';
import type { Connection } from '../connection';
import { person, teaching } from '../schema';

/** Who teaches whom in a studio. */
export function teachingOf(db: Connection, studioId: StudioId) {
  const pair = (teacher: PersonId, student: PersonId) =>
    and(
      eq(teaching.studioId, studioId),
      eq(teaching.teacherId, teacher),
      eq(teaching.studentId, student),
    );
  return {
    teaches(teacher: PersonId, student: PersonId): boolean {
      return db.select().from(teaching).where(pair(teacher, student)).get() !== undefined;
    },

    studentsOf(teacher: PersonId): ReadonlySet<PersonId> {
      const here = and(eq(teaching.studioId, studioId), eq(teaching.teacherId, teacher));
      const rows = db.select({ id: teaching.studentId }).from(teaching).where(here).all();
      return new Set(rows.map(({ id }) => id));
    },

    teachersOf(student: PersonId): readonly { readonly id: PersonId; readonly name: string }[] {
      return db
        .select({ id: person.id, name: person.name })
        .from(teaching)
        .innerJoin(person, eq(person.id, teaching.teacherId))
        .where(and(eq(teaching.studioId, studioId), eq(teaching.studentId, student)))
        .orderBy(asc(person.id))
        .all();
    },

    /** @returns whether there is such a teacher, and another one for the student where this one goes */
    set(teacher: PersonId, student: PersonId, teaches: boolean): boolean {
      const staff = db
        .select({ id: person.id })
        .from(person)
        .where(
          and(
            eq(person.studioId, studioId),
            eq(person.id, teacher),
            inArray(person.role, ['owner', 'teacher']),
            isNull(person.archivedAt),
          ),
        )
        .get();
      if (!staff) return false;
      if (teaches) {
        db.insert(teaching)
          .values({ studioId, teacherId: teacher, studentId: student })
          .onConflictDoNothing()
          .run();
        return true;
      }
      if (!this.teachersOf(student).some(({ id }) => id !== teacher)) return false;
      db.delete(teaching).where(pair(teacher, student)).run();
      return true;
    },
  };
}
