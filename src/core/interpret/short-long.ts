import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { ok } from '../issue';
import { onsets } from '../reading';
import { slotTicks, subdivisionSchema } from '../time';
import { strokeOn } from './grid-place';
import type { Interpretation } from './types';

export const shortLongSchema = z.strictObject({
  kind: z.literal('short-long'),
  short: assignmentSchema,
  long: assignmentSchema,
  /** Notes of this length or longer are long; usually a quarter. */
  longFrom: subdivisionSchema,
});

type ShortLongOptions = z.infer<typeof shortLongSchema>;

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
