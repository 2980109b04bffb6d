import type { Variation } from './variation-schema';

/** Twists are for what feels easy; everything else makes it simpler. */
export function isTwist({ kind }: Variation): boolean {
  return kind === 'displaced' || kind === 'other-lead';
}
