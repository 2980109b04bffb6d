import type { CueLine } from '@/core/progress';
import { itemKey, type StandItem } from '@/core/studio';
import { isCueAbout, type Say } from '@/words';
import type { Stand } from './round';

/** What to watch for, in order: what is about the limb that suffered last, then as the teacher, or the exercise,
 * has it. */
export function cuesFor(
  say: Say,
  { watch }: Pick<Stand, 'watch'>,
  item: StandItem,
): readonly CueLine[] {
  const limb = watch?.key === itemKey(item) ? watch.limb : null;
  const about = item.cues.filter((cue) => limb !== null && isCueAbout(say, cue, limb));
  return [...about, ...item.cues.filter((cue) => !about.includes(cue))];
}

/** So many bars one cue stays, at the least; common practice, no source. */
const CUE_BARS = 4;

/** The cue of a bar: each stays for some bars, or for a whole cycle.
 * @param bar from 0 */
export function cueAt(
  cues: readonly CueLine[],
  bar: number,
  cycleBars: number,
): CueLine | undefined {
  return cues[Math.floor(bar / Math.max(CUE_BARS, cycleBars)) % cues.length];
}
