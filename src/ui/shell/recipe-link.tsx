'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useSyncExternalStore, type ReactNode } from 'react';
import type { ClosedRecipe } from '@/core/recipe';
import { buttonLook, Link } from '../base';

type Packing = typeof import('./links');

let loaded: Packing | null = null;

/** What packs recipes into addresses. No first view waits for it. */
export async function packing(): Promise<Packing> {
  return (loaded = await import('./links'));
}

function onceLoaded(tell: () => void): () => void {
  let here = true;
  if (!loaded) void packing().then(() => here && tell());
  return () => {
    here = false;
  };
}

/** @returns what packs, or null in the first moments of a page */
export function usePacking(): Packing | null {
  return useSyncExternalStore(
    onceLoaded,
    () => loaded,
    () => null,
  );
}

/** @example onBench('abc') // => '/bench?r=abc' */
export const onBench = (link: string): string => `/bench?r=${link}`;

/** Goes to a screen with a recipe in its address. */
export function useGoWith(): (recipe: ClosedRecipe, address: (link: string) => string) => void {
  const { push } = useRouter();
  return useCallback(
    (recipe, address) => void packing().then(({ writeLink }) => push(address(writeLink(recipe)))),
    [push],
  );
}

/** A link to a screen with a recipe in its address. Followed in the first moments it waits for its packing. */
export function RecipeLink({
  recipe,
  address = onBench,
  look,
  children,
}: {
  recipe: ClosedRecipe;
  address?: (link: string) => string;
  look: Parameters<typeof buttonLook>[0];
  children: ReactNode;
}) {
  const go = useGoWith();
  const ready = usePacking();
  return (
    <Link
      className={buttonLook(look)}
      href={address(ready?.writeLink(recipe) ?? '')}
      onClick={(event) => {
        if (ready) return;
        event.preventDefault();
        go(recipe, address);
      }}
    >
      {children}
    </Link>
  );
}
