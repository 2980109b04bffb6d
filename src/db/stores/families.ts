import { and, desc, eq, isNull } from 'drizzle-orm';
import { readFamily, type Family } from '@/core/family';
import { must } from '@/core/issue';
import type { FamilyId, FamilyName, SavedFamily, StudioId } from '@/core/studio';
import type { Connection } from '../connection';
import { family } from '../schema';

/** A studio's families. */
export function familiesOf(db: Connection, studioId: StudioId) {
  const one = (of: FamilyId) => and(eq(family.studioId, studioId), eq(family.id, of));
  return {
    /** Latest first. */
    list(): FamilyName[] {
      const { id, name } = family;
      return db
        .select({ id, name })
        .from(family)
        .where(and(eq(family.studioId, studioId), isNull(family.archivedAt)))
        .orderBy(desc(family.updatedAt), desc(family.id))
        .all();
    },

    /** Archived ones too. Stored families were read before they were stored: one that cannot be read is
     * a broken file, and throws. */
    find(of: FamilyId): SavedFamily | null {
      const row = db.select().from(family).where(one(of)).get();
      return row ? { id: row.id, name: row.name, family: must(readFamily(row.family)) } : null;
    },

    insert(row: { id: FamilyId; name: string; family: Family; updatedAt: number }): void {
      db.insert(family)
        .values({ ...row, studioId })
        .run();
    },

    /** @returns whether there is such a family */
    update(
      of: FamilyId,
      change: Partial<{
        name: string;
        family: Family;
        updatedAt: number;
        archivedAt: number | null;
      }>,
    ): boolean {
      return db.update(family).set(change).where(one(of)).run().changes > 0;
    },
  };
}
