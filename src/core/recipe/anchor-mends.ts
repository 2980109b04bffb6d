import { expand } from './expand';
import { freed } from './free-limb';
import type { ClosedRecipe } from './schema';

/** A way to keep an anchor: `limb` gives what is played to other limbs, `merge` plays both. */
interface AnchorMend {
  readonly kind: 'limb' | 'merge';
  readonly recipe: ClosedRecipe;
}

/** Ways in which fewer strokes of anchors are lost than now, the one that changes least of the groove first. A
 * sequence is mended part by part, so it has none as a whole.
 * @param lost strokes of anchors that are lost now */
export function anchorMends(recipe: ClosedRecipe, lost: number): readonly AnchorMend[] {
  if (lost === 0 || recipe.then || recipe.play === null) return [];
  const isLine = !('sticking' in recipe.play.content);
  const as = isLine ? freed(recipe.as, recipe) : recipe.as;
  const mends: readonly AnchorMend[] = [
    { kind: 'limb', recipe: { ...recipe, as } },
    { kind: 'merge', recipe: { ...recipe, clash: 'merge' } },
  ];
  return mends.filter((mend) => {
    const made = expand(mend.recipe);
    return made.ok && made.value.lostAnchors.length < lost;
  });
}
