import { ok } from '../issue';
import { onsets } from '../reading';
import { slotTicks } from '../time';
import { strokeOn } from './grid-place';
import type { ShortLongOptions } from './short-long-schema';
import type { Interpretation } from './types';

/** Short notes on one voice, long ones on another, by sounding length: ties count, rests do not;
 * inside tuplets the written value counts. */
export const shortLong: Interpretation<ShortLongOptions> = {
  kind: 'short-long',
  reads: 'voices',
  claims: ({ short, long }) => (short.limb === long.limb ? [short.limb] : [short.limb, long.limb]),
  reassign: (options, to) => ({
    ...options,
    short: to(options.short),
    long: to(options.long),
  }),
  play: (line, { short, long, longFrom }) => {
    const from = slotTicks(longFrom);
    return ok(
      onsets(line).map((onset) => strokeOn(onset, onset.reads >= from ? long : short, 'normal')),
    );
  },
};
