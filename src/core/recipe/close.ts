import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { fail, ok, type Issue, type Result } from '../issue';
import { USUAL_CELLS } from '../interpret';
import { SHIPPED_KITS, SHIPPED_LINES, SHIPPED_OSTINATOS } from '../materials';
import type { ClosedRecipe, Recipe } from './schema';

export type IngredientKind = 'ostinato' | 'line' | 'cells' | 'kit';

/** Finds an ingredient's content; undefined when there is none. */
export type Lookup = (kind: IngredientKind, id: string, version: number) => unknown;

/** The shipped materials, all in version 1. */
export const shippedIngredients: Lookup = (kind, id, version) => {
  if (version !== 1) return undefined;
  switch (kind) {
    case 'ostinato':
      return SHIPPED_OSTINATOS[id];
    case 'line': {
      const line = SHIPPED_LINES[id];
      return line && { name: line.name, text: line.text };
    }
    case 'cells':
      return id === 'usual-cells' ? USUAL_CELLS : undefined;
    case 'kit':
      return SHIPPED_KITS[id];
  }
};

/** Embeds the contents of all ingredients.
 * @returns issue `ingredient-missing` for each that is not found */
export function close(recipe: Recipe, lookup: Lookup = shippedIngredients): Result<ClosedRecipe> {
  const issues: Issue[] = [];
  function embed(
    ingredient: { id?: string; version?: number; content?: unknown },
    kind: IngredientKind,
    path: readonly (string | number)[],
  ): unknown {
    if (ingredient.content !== undefined) return ingredient;
    const { id = '', version = 0 } = ingredient;
    const content = lookup(kind, id, version);
    if (content === undefined) issues.push({ code: 'ingredient-missing', path, id, version });
    return { id, version, content };
  }
  const closed = {
    ...recipe,
    over: recipe.over.map((one, index) => embed(one, 'ostinato', ['over', index])),
    play: recipe.play && embed(recipe.play, 'line', ['play']),
    as:
      recipe.as.kind === 'phrase-cells'
        ? { ...recipe.as, cells: embed(recipe.as.cells, 'cells', ['as', 'cells']) }
        : recipe.as,
    kit: embed(recipe.kit, 'kit', ['kit']),
  };
  return issues.length > 0 ? fail(...issues) : ok(closed as ClosedRecipe);
}

/** The same value always as the same text: keys sorted, undefined left out. */
function canonical(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(canonical);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, one]) => [key, canonical(one)]),
  );
}

/** Ids, versions and names say where a thing came from, not what is played. */
function musicOnly(recipe: ClosedRecipe): unknown {
  return {
    ...recipe,
    over: recipe.over.map((one) => ({ lanes: one.content.lanes })),
    play: recipe.play?.content.text,
    as:
      recipe.as.kind === 'phrase-cells'
        ? { ...recipe.as, cells: recipe.as.cells.content.cells }
        : recipe.as,
    kit: { handedness: recipe.kit.content.handedness, voices: recipe.kit.content.voices },
  };
}

/** 16 hex digits; equal for recipes that play the same from the same contents. */
export function recipeHash(recipe: ClosedRecipe): string {
  const text = JSON.stringify(canonical(musicOnly(recipe)));
  return bytesToHex(sha256(utf8ToBytes(text))).slice(0, 16);
}
