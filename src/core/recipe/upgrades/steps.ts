import { restThroughout } from './rest-throughout';
import type { Upgrade } from './upgrade';

/** How recipes of old become those of now, in order: the first makes format 2 of format 1. One file a
 * step, with a test of before and after. Add one when a recipe could otherwise mean something else than
 * it did; nothing else raises the format. */
export const UPGRADES: readonly Upgrade[] = [restThroughout];

/** Format of the recipes that this Mivvel writes: one more than there are upgrades. */
export const RECIPE_VERSION = UPGRADES.length + 1;
