import { and, desc, eq, isNull } from 'drizzle-orm';
import { readFamily, type Family } from '@/core/family';
import { must } from '@/core/issue';
import type { FamilyId, FamilyName, SavedFamily, StudioId } from '@/core/studio';
import type { Db } from '../open';
import { family } from '../schema';

/** Latest first. */
export function listFamilies(db: Db, studioId: StudioId): FamilyName[] {
  const { id, name } = family;
  return db
    .select({ id, name })
    .from(family)
    .where(and(eq(family.studioId, studioId), isNull(family.archivedAt)))
    .orderBy(desc(family.updatedAt), desc(family.id))
    .all();
}

/** Archived ones too. Stored families were read before they were stored: one that cannot be read is
 * a broken file, and throws. */
export function findFamily(db: Db, studioId: StudioId, id: FamilyId): SavedFamily | null {
  const row = db
    .select()
    .from(family)
    .where(and(eq(family.studioId, studioId), eq(family.id, id)))
    .get();
  return row ? { id: row.id, name: row.name, family: must(readFamily(row.family)) } : null;
}

export function insertFamily(
  db: Db,
  row: { id: FamilyId; studioId: StudioId; name: string; family: Family; updatedAt: number },
): void {
  db.insert(family).values(row).run();
}

export function updateFamily(
  db: Db,
  id: FamilyId,
  change: Partial<{ name: string; family: Family; updatedAt: number; archivedAt: number | null }>,
): void {
  db.update(family).set(change).where(eq(family.id, id)).run();
}
