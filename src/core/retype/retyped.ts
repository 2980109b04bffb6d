import type { ClosedRecipe } from '../recipe';
import type { CompositeReading } from '../sticking';

/** What tells the readings of typed text apart. */
export type Retyping =
  /** As it stands already. */
  | { readonly kind: 'same' }
  | { readonly kind: 'text'; readonly text: string }
  /** A sticking in the place of what was interpreted. */
  | { readonly kind: 'as-sticking'; readonly text: string }
  | { readonly kind: 'changes-out'; readonly text: string }
  | { readonly kind: 'even'; readonly sticking: string }
  | ({ readonly kind: 'rhythm' } & CompositeReading)
  | { readonly kind: 'by-hand'; readonly notes: number }
  /** Places of the cycle in ticks; none where the limb rests. */
  | { readonly kind: 'places'; readonly at: readonly number[] };

/** A recipe that typed text may mean. */
export interface Retyped {
  readonly means: Retyping;
  readonly recipe: ClosedRecipe;
}

/** Text without what does not matter in it. @example tidy(' RLLK  RL ') // => 'RLLK RL' */
export function tidy(text: string): string {
  return text.trim().replaceAll(/\s+/g, ' ');
}
