import { memberAt, memberKey, memberRecipe } from '@/core/family';
import { latestOf, readBundle } from '@/core/format';
import { itemsOf } from '@/core/program';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
import { familyFrom, jsonFrom, need, type Io } from './io';

export interface Named {
  readonly name: string;
  readonly recipe: ClosedRecipe;
}

/** A recipe, a family (`base` and `axes`), or everything in a bundle, in order. */
export function* recipesIn(io: Io, file: string): Generator<Named> {
  const json = jsonFrom(io, file);
  const { format, axes } = (json ?? {}) as { format?: unknown; axes?: unknown };
  if (format === 'mivvel') {
    const bundle = need(readBundle(JSON.stringify(json)), file);
    yield* bundle.exercises;
    for (const { outline, recipes } of bundle.programs.map(latestOf)) {
      for (const { id, name } of itemsOf(outline)) {
        const recipe = recipes[id];
        if (recipe) yield { name, recipe };
      }
    }
  } else if (axes !== undefined) {
    const family = familyFrom(json as object, file);
    for (let index = 0; index < family.size; index += 1) {
      const member = memberAt(family, index);
      yield { name: memberKey(family, member), recipe: memberRecipe(family, member) };
    }
  } else yield { name: '', recipe: need(close(need(readRecipe(json), file)), file) };
}
