import { and, desc, eq, max } from 'drizzle-orm';
import type { MaterialKind } from '@/core/materials';
import type { MaterialId, StudioId } from '@/core/studio';
import type { Connection } from '../connection';
import { material, materialVersion } from '../schema';

/** One version of a studio's own material, as stored. */
export interface StoredMaterial {
  readonly id: MaterialId;
  readonly kind: MaterialKind;
  readonly archived: boolean;
  readonly version: number;
  readonly name: string;
  readonly content: unknown;
  readonly trains: string;
  readonly meter: string | null;
}

/** A studio's own materials. */
export function materialsOf(db: Connection, studioId: StudioId) {
  /** The latest version of each, archived ones too, latest first. */
  function list(): StoredMaterial[] {
    const latest = db
      .select({
        id: materialVersion.materialId,
        version: max(materialVersion.version).as('latest'),
      })
      .from(materialVersion)
      .where(eq(materialVersion.studioId, studioId))
      .groupBy(materialVersion.materialId)
      .as('latest_version');
    return db
      .select({
        id: material.id,
        kind: material.kind,
        archivedAt: material.archivedAt,
        version: materialVersion.version,
        name: materialVersion.name,
        content: materialVersion.content,
        trains: materialVersion.trains,
        meter: materialVersion.meter,
      })
      .from(material)
      .innerJoin(latest, eq(latest.id, material.id))
      .innerJoin(
        materialVersion,
        and(
          eq(materialVersion.materialId, material.id),
          eq(materialVersion.version, latest.version),
        ),
      )
      .where(eq(material.studioId, studioId))
      .orderBy(desc(materialVersion.madeAt), desc(material.id))
      .all()
      .map(({ archivedAt, ...row }) => ({ ...row, archived: archivedAt !== null }));
  }
  return {
    list,

    find(of: MaterialId): StoredMaterial | null {
      return list().find((one) => one.id === of) ?? null;
    },

    insert(row: { id: MaterialId; kind: MaterialKind }): void {
      db.insert(material)
        .values({ ...row, studioId })
        .run();
    },

    addVersion(row: {
      materialId: MaterialId;
      version: number;
      name: string;
      content: unknown;
      trains: string;
      meter: string | null;
      madeAt: number;
    }): void {
      db.insert(materialVersion)
        .values({ ...row, studioId })
        .run();
    },

    /** @returns whether there is such a material */
    setArchived(of: MaterialId, archivedAt: number | null): boolean {
      const one = and(eq(material.studioId, studioId), eq(material.id, of));
      return db.update(material).set({ archivedAt }).where(one).run().changes > 0;
    },
  };
}
