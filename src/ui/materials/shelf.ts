import type { MaterialKind } from '@/core/materials';
import type { Result } from '@/core/issue';
import type { MaterialId } from '@/core/studio';

/** What can be looked through: every kind of material, and the exercises made of them. */
export type ShelfKind = MaterialKind | 'exercise';

export const SHELF_NAMES: Readonly<Record<ShelfKind, string>> = {
  ostinato: 'Ostinatos',
  line: 'Lines',
  sticking: 'Stickings',
  cells: 'Phrase cells',
  rules: 'Rules',
  kit: 'Kits',
  exercise: 'Exercises',
};

/** One of each kind, as it is called. */
export const KIND_NAMES: Readonly<Record<MaterialKind, string>> = {
  ostinato: 'ostinato',
  line: 'line',
  sticking: 'sticking',
  cells: 'cell set',
  rules: 'rules',
  kit: 'kit',
};

/** A material as it is being made or edited; without an id it is a new one. */
export interface MaterialDraft {
  readonly id: MaterialId | null;
  readonly kind: MaterialKind;
  readonly name: string;
  readonly trains: string;
  readonly meter: string | null;
  readonly content: Readonly<Record<string, unknown>>;
}

export interface MaterialActions {
  readonly save: (draft: MaterialDraft) => Promise<Result<{ id: MaterialId; version: number }>>;
  readonly archive: (id: MaterialId, archived: boolean) => Promise<Result<null>>;
}
