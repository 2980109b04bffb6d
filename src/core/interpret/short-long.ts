import { ok } from '../issue';
import { onsets } from '../reading';
import { slotTicks, type SubdivisionId } from '../time';
import { strokeOn } from './grid-place';
import type { Assignment, Interpretation } from './types';

export interface ShortLongOptions {
  readonly kind: 'short-long';
  readonly short: Assignment;
  readonly long: Assignment;
  /** Notes of this length or longer are long; usually a quarter. */
  readonly longFrom: SubdivisionId;
}

/** Short notes on one voice, long ones on another, by sounding length: ties count, rests do not;
 * inside tuplets the written value counts. */
export const shortLong: Interpretation<ShortLongOptions> = {
  kind: 'short-long',
  reads: 'voices',
  claims: ({ short, long }) => (short.limb === long.limb ? [short.limb] : [short.limb, long.limb]),
  play: (line, { short, long, longFrom }) => {
    const from = slotTicks(longFrom);
    return ok(
      onsets(line).map((onset) => strokeOn(onset, onset.reads >= from ? long : short, 'normal')),
    );
  },
};
