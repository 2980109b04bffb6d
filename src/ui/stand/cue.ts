import type { CueLine } from '@/core/progress';
import { itemKey, type StandItem } from '@/core/studio';
import { isCueAbout, type Say } from '@/words';
import type { Stand } from './machine';

/** What to watch for next: what is about the limb that suffered last, else what comes first. */
export function cueOf(say: Say, { watch }: Pick<Stand, 'watch'>, item: StandItem): CueLine | null {
  const limb = watch?.key === itemKey(item) ? watch.limb : null;
  const about = item.cues.find((cue) => limb !== null && isCueAbout(say, cue, limb));
  return about ?? item.cues[0] ?? null;
}
