import { ok } from '../issue';
import { onsets } from '../reading';
import { slotTicks, type SubdivisionId } from '../time';
import { placeOfOnset } from './grid-place';
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
  name: 'short / long',
  reads: 'voices',
  claims: ({ short, long }) => (short.limb === long.limb ? [short.limb] : [short.limb, long.limb]),
  play: (line, { short, long, longFrom }) =>
    ok(
      onsets(line).map((onset) => ({
        ...placeOfOnset(onset),
        ...(onset.reads >= slotTicks(longFrom) ? long : short),
        dynamic: 'normal' as const,
        from: { source: 'line' as const, onset: onset.index },
      })),
    ),
};
