import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { fail, ok, type Issue, type Result } from '../issue';
import type { ClosedMember, ClosedRecipe, Recipe } from './schema';

type IngredientKind = 'ostinato' | 'line' | 'cells' | 'kit';

/** Finds an ingredient's content; undefined when there is none. */
export type Lookup = (kind: IngredientKind, id: string, version: number) => unknown;

/** Embeds the contents of all ingredients, those of a sequence's members too.
 * @param lookup finds what is not embedded yet; left out, nothing is
 * @returns issue `ingredient-missing` for each that is not found */
export function closeWith(recipe: Recipe, lookup: Lookup = () => undefined): Result<ClosedRecipe> {
  const { then, ...first } = recipe;
  const issues: Issue[] = [];
  const closed = closeMember(first, lookup, issues, []);
  if (!then) return issues.length > 0 ? fail(...issues) : ok(closed);
  const members = then.members.map((member, index) => ({
    ...member,
    recipe: closeMember(member.recipe, lookup, issues, ['then', 'members', index]),
  }));
  return issues.length > 0 ? fail(...issues) : ok({ ...closed, then: { ...then, members } });
}

function closeMember(
  recipe: Omit<Recipe, 'then'>,
  lookup: Lookup,
  issues: Issue[],
  root: readonly (string | number)[],
): ClosedMember {
  function embed(
    ingredient: { id?: string; version?: number; content?: unknown },
    kind: IngredientKind,
    path: readonly (string | number)[],
  ): unknown {
    if (ingredient.content !== undefined) return ingredient;
    const { id = '', version = 0 } = ingredient;
    const content = lookup(kind, id, version);
    if (content === undefined) {
      issues.push({ code: 'ingredient-missing', path: [...root, ...path], id, version });
    }
    return { id, version, content };
  }
  return {
    ...recipe,
    over: recipe.over.map((one, index) => embed(one, 'ostinato', ['over', index])),
    play: recipe.play && embed(recipe.play, 'line', ['play']),
    as:
      recipe.as.kind === 'phrase-cells'
        ? { ...recipe.as, cells: embed(recipe.as.cells, 'cells', ['as', 'cells']) }
        : recipe.as,
    kit: embed(recipe.kit, 'kit', ['kit']),
  } as ClosedMember;
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

/** What is kept by a hash is found again in every format: what plays the same has the same one. */
const AS_OF_OLD = { version: 1 } as const;

/** Ids, versions, names and notes say where a thing came from, not what is played. */
function musicOnly({ then, ...recipe }: ClosedRecipe): unknown {
  const first = musicOf(recipe);
  if (!then) return first;
  const members = then.members.map(({ bars, untimed, recipe: one }) => ({
    bars,
    untimed: untimed || undefined,
    recipe: musicOf(one),
  }));
  return { ...first, then: { bars: then.bars, untimed: then.untimed || undefined, members } };
}

function musicOf({ kept: _, ...recipe }: ClosedMember) {
  const content = recipe.play?.content;
  const phrase = content && 'sticking' in content ? { ...content, name: undefined } : content?.text;
  return {
    ...recipe,
    ...AS_OF_OLD,
    clash: recipe.clash === 'throughout' ? 'rest' : recipe.clash,
    over: recipe.over.map((one) => ({ lanes: one.content.lanes })),
    play: phrase,
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
