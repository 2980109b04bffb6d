import { fail, ok, type Issue, type Result } from '../issue';
import { rungsOf } from '../ladder';
import { itemsOf, type Outline } from '../program';
import { expand, type ClosedRecipe } from '../recipe';
import { bpm } from '../time';
import type { Piece } from './piece';

/** The exercises of a program in order, each at its first tempo (60 where its ladder has none).
 * @param sayOf says a recipe as its sentence
 * @returns issues of all that cannot be played */
export function piecesOf(
  outline: Outline,
  recipes: Readonly<Record<string, ClosedRecipe>>,
  sayOf: (recipe: ClosedRecipe) => string,
): Result<readonly Piece[]> {
  const issues: Issue[] = [];
  const pieces = itemsOf(outline).flatMap((item): readonly Piece[] => {
    const recipe = recipes[item.id];
    const made = recipe && expand(recipe);
    if (!recipe || !made) return [];
    if (!made.ok) {
      issues.push(...made.issues);
      return [];
    }
    const first = rungsOf(item.course.ladder)[0]?.bpm ?? bpm(60);
    return [{ name: item.name, says: sayOf(recipe), exercise: made.value, bpm: first }];
  });
  return issues.length > 0 ? fail(...issues) : ok(pieces);
}
