import type { MaterialContents, MaterialKind } from '@/core/materials';
import type { Result } from '@/core/issue';
import type { MaterialId } from '@/core/studio';
import type { Key } from '@/words';

/** What can be looked through: every kind of material, and the exercises made of them. */
export type ShelfKind = MaterialKind | 'exercise';

export const SHELF_NAMES = {
  ostinato: 'screen.materials.ostinatos',
  line: 'screen.common.lines',
  sticking: 'screen.materials.stickings',
  cells: 'screen.materials.phraseCells',
  rules: 'screen.materials.rules',
  kit: 'screen.materials.kits',
  exercise: 'screen.common.exercisesCapital',
} as const satisfies Record<ShelfKind, Key>;

/** One of each kind, as it is called. */
export const KIND_NAMES = {
  ostinato: 'screen.materials.ostinato',
  line: 'screen.materials.line',
  sticking: 'screen.materials.sticking',
  cells: 'screen.materials.cellSet',
  rules: 'screen.materials.rulesTable',
  kit: 'screen.materials.kit',
} as const satisfies Record<MaterialKind, Key>;

/** What a material of a kind holds besides its name. */
export type Draft<Kind extends MaterialKind> = Omit<MaterialContents[Kind], 'name'>;

/** A material as it is being made or edited; without an id it is a new one. */
export type MaterialDraft = {
  readonly [Kind in MaterialKind]: {
    readonly id: MaterialId | null;
    readonly kind: Kind;
    readonly name: string;
    readonly trains: string;
    readonly meter: string | null;
    readonly content: Draft<Kind>;
  };
}[MaterialKind];

export interface MaterialActions {
  readonly save: (draft: MaterialDraft) => Promise<Result<{ id: MaterialId; version: number }>>;
  readonly archive: (id: MaterialId, archived: boolean) => Promise<Result<null>>;
}
