import type { ClosedMember, ClosedRecipe } from './schema';

/** A part of a sequence: an exercise with its name and how long it is played. */
export interface Part {
  readonly name: string;
  /** Null plays its whole cycle, or, where it is untimed, its own length once. */
  readonly bars: number | null;
  /** Without a click. */
  readonly untimed: boolean;
  readonly recipe: ClosedMember;
}

/** The parts in order, the exercise itself first; one where nothing follows. */
export function partsOf({ then, ...first }: ClosedRecipe): readonly [Part, ...Part[]] {
  const { name = '', bars = null, untimed = false, members = [] } = then ?? {};
  return [
    { name, bars, untimed, recipe: first },
    ...members.map((one) => ({ ...one, untimed: one.untimed ?? false })),
  ];
}

/** The exercise of these parts; one alone is no sequence, and needs no name.
 * @example withParts(partsOf(recipe)) // => the same recipe */
export function withParts([first, ...others]: readonly [Part, ...Part[]]): ClosedRecipe {
  if (others.length === 0) return first.recipe;
  const then = {
    ...(first.name !== '' && { name: first.name }),
    bars: first.bars,
    ...(first.untimed && { untimed: true }),
    members: others.map(({ name, bars, untimed, recipe }) => ({
      name,
      bars,
      ...(untimed && { untimed }),
      recipe,
    })),
  };
  return { ...first.recipe, then };
}
