import type { ClosedRecipe } from '../recipe';

/** A recipe that typed text may mean; `says` tells the readings apart. */
export interface Retyped {
  readonly says: string;
  readonly recipe: ClosedRecipe;
}

/** Text without what does not matter in it. @example tidy(' RLLK  RL ') // => 'RLLK RL' */
export function tidy(text: string): string {
  return text.trim().replaceAll(/\s+/g, ' ');
}
