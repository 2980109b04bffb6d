import type { Variation } from './variation-schema';

const TWISTS: readonly Variation['kind'][] = ['displaced', 'other-lead', 'surface', 'more'];

/** Twists are for what feels easy; everything else makes it simpler. */
export function isTwist({ kind }: Variation): boolean {
  return TWISTS.includes(kind);
}
