import { and, desc, eq, max } from 'drizzle-orm';
import type { MaterialKind } from '@/core/materials';
import type { MaterialId, StudioId } from '@/core/studio';
import type { Db } from '../open';
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

/** The latest version of each, archived ones too, latest first. */
export function listMaterials(db: Db, studioId: StudioId): StoredMaterial[] {
  const latest = db
    .select({ id: materialVersion.materialId, version: max(materialVersion.version).as('latest') })
    .from(materialVersion)
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
      and(eq(materialVersion.materialId, material.id), eq(materialVersion.version, latest.version)),
    )
    .where(eq(material.studioId, studioId))
    .orderBy(desc(materialVersion.madeAt), desc(material.id))
    .all()
    .map(({ archivedAt, ...row }) => ({ ...row, archived: archivedAt !== null }));
}

export function findMaterial(db: Db, studioId: StudioId, id: MaterialId): StoredMaterial | null {
  return listMaterials(db, studioId).find((one) => one.id === id) ?? null;
}

export function insertMaterial(
  db: Db,
  row: { id: MaterialId; studioId: StudioId; kind: MaterialKind },
): void {
  db.insert(material).values(row).run();
}

export function addMaterialVersion(
  db: Db,
  row: {
    materialId: MaterialId;
    version: number;
    name: string;
    content: unknown;
    trains: string;
    meter: string | null;
    madeAt: number;
  },
): void {
  db.insert(materialVersion).values(row).run();
}

export function setMaterialArchived(db: Db, id: MaterialId, archivedAt: number | null): void {
  db.update(material).set({ archivedAt }).where(eq(material.id, id)).run();
}
