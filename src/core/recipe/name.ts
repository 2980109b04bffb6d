import { interpretationName } from '../interpret';
import { sayChange } from './say-change';
import type { ClosedRecipe } from './schema';

const LONGEST = 80;

/** A name for a list, when the teacher gives none: what goes on, the line, how it is read.
 * @example suggestName(recipe) // => 'jazz ride, hats on 2 and 4 · 4. 4 8 4 · short / long' */
export function suggestName(recipe: ClosedRecipe): string {
  const over = recipe.over.map((one) => one.content.name).join(' + ');
  const content = recipe.play?.content;
  const sticks = content !== undefined && 'sticking' in content;
  const written = sticks ? content.sticking : (content?.text ?? '');
  const line = (content?.name ?? written).trim();
  const as = line && !sticks ? interpretationName(recipe.as.kind) : '';
  const [change] = over || line ? [] : recipe.changes;
  const changed = change ? sayChange(change) : '';
  const name = [over, line, as, changed].filter(Boolean).join(' · ');
  return name.length > LONGEST ? `${name.slice(0, LONGEST - 1).trimEnd()}…` : name;
}
