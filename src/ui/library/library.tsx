'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { fail, type Result } from '@/core/issue';
import {
  ofKind,
  SHIPPED,
  type Material,
  type MaterialContents,
  type MaterialKind,
} from '@/core/materials';
import type { KitProfile } from '@/core/kit';
import type { ClosedRecipe, Exercise } from '@/core/recipe';

/** What a sentence can be made of: the studio's own materials before the shipped ones, and the
 * students whose kit it may be for. */
export interface Shelf {
  readonly materials: readonly Material[];
  readonly students: readonly StudentKit[];
  /** Saved exercises, by name, and how to get at one; null without a connection. */
  readonly exercises: readonly { readonly id: string; readonly name: string }[];
  readonly load: (id: string) => Promise<ClosedRecipe | null>;
  /** Saved exercises that are this one in disguise; none without a connection. */
  readonly findSame: (exercise: Exercise) => Promise<readonly SavedTwin[]>;
  readonly saveRules: (
    name: string,
    rules: MaterialContents['rules']['rules'],
  ) => Promise<Result<{ readonly id: string }>>;
}

export interface SavedTwin {
  readonly id: string;
  readonly name: string;
  readonly exercise: Exercise;
}

export interface StudentKit {
  readonly id: string;
  readonly name: string;
  readonly kit: KitProfile;
}

const ShelfContext = createContext<Shelf>({
  materials: SHIPPED,
  students: [],
  exercises: [],
  load: () => Promise.resolve(null),
  findSame: () => Promise.resolve([]),
  saveRules: () => Promise.resolve(fail({ code: 'not-found', path: [], what: 'page' })),
});

/** @param own the studio's own materials */
export function ShelfProvider({
  own,
  students,
  exercises,
  load,
  findSame,
  saveRules,
  children,
}: Omit<Shelf, 'materials'> & { own: readonly Material[]; children: ReactNode }) {
  const shelf = useMemo(
    () => ({ materials: [...own, ...SHIPPED], students, exercises, load, findSame, saveRules }),
    [own, students, exercises, load, findSame, saveRules],
  );
  return <ShelfContext value={shelf}>{children}</ShelfContext>;
}

export function useShelf(): Shelf {
  return useContext(ShelfContext);
}

export function useMaterials<K extends MaterialKind>(kind: K): readonly Material<K>[] {
  const { materials } = useShelf();
  return useMemo(() => ofKind(materials, kind), [materials, kind]);
}
