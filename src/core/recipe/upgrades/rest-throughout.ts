import type { Upgrade } from './upgrade';

/** Format 1 to 2. Where limbs met, `rest` let a limb that the phrase ever takes rest in the whole cycle. It
 * is called `throughout` since there are policies for the time in which the phrase sounds. */
export const restThroughout: Upgrade = (recipe) => ({
  ...recipe,
  clash: recipe.clash === 'rest' ? 'throughout' : recipe.clash,
});
