import { and, eq } from 'drizzle-orm';
import type { PersonId, StudioId } from '@/core/studio';
import { writing, type Connection } from '../connection';
import { projection } from '../schema';

/** What was worked out for a student, and from what; both as JSON. */
export interface KeptProjection {
  readonly studentId: PersonId;
  readonly source: string;
  readonly value: string;
}

/** What was worked out from the logs of a studio's students. */
export function projectionsOf(db: Connection, studioId: StudioId) {
  return {
    /** Those that this version of the code has made. */
    read(name: string, version: string): ReadonlyMap<PersonId, KeptProjection> {
      const { studentId, source, value } = projection;
      const rows = db
        .select({ studentId, source, value })
        .from(projection)
        .where(
          and(
            eq(projection.studioId, studioId),
            eq(projection.name, name),
            eq(projection.version, version),
          ),
        )
        .all();
      return new Map(rows.map((row) => [row.studentId, row]));
    },

    /** Keeps some, in place of what was kept of the same students. */
    keep(name: string, version: string, kept: readonly KeptProjection[]): void {
      writing(db, () => {
        for (const row of kept) {
          const { source, value } = row;
          db.insert(projection)
            .values({ ...row, studioId, name, version })
            .onConflictDoUpdate({
              target: [projection.studentId, projection.name],
              set: { version, source, value },
              setWhere: eq(projection.studioId, studioId),
            })
            .run();
        }
      });
    },
  };
}
