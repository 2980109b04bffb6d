import * as z from 'zod/mini';
import { LIMBS, VOICE_IDS } from '../kit';
import { whole, text } from '../shape';

const limb = z.enum(LIMBS);

const ticks = whole(0);

/** What is played in place of the whole: simpler, or with a twist. All of it can be undone, and none
 * of it needs more than the recipe to be made again. */
export const variationSchema = z.discriminatedUnion('kind', [
  /** One limb, as it is written, rests; `plays` is the limb and voice that fall silent on this kit. */
  z.strictObject({ kind: z.literal('without'), limb, plays: limb, voice: z.enum(VOICE_IDS) }),
  /** Two neighbouring events in turn, over and over. Places in the cycle, in ticks, and the meter that they
   * are counted in; decisions of old have its name, in the words of that time. */
  z.strictObject({
    kind: z.literal('bridge'),
    from: ticks,
    to: ticks,
    meter: z.optional(text(40)),
    says: z.optional(text(80)),
  }),
  z.strictObject({ kind: z.literal('half'), half: z.enum(['first', 'second']) }),
  z.strictObject({ kind: z.literal('plain') }),
  z.strictObject({ kind: z.literal('displaced') }),
  z.strictObject({ kind: z.literal('other-lead') }),
  /** What one surface plays, on another. */
  z.strictObject({ kind: z.literal('surface'), from: z.enum(VOICE_IDS), to: z.enum(VOICE_IDS) }),
  /** One note more, as it is written. Its place in the cycle, in ticks, and the meter that it is counted in. */
  z.strictObject({
    kind: z.literal('more'),
    limb,
    voice: z.enum(VOICE_IDS),
    at: ticks,
    meter: text(40),
  }),
]);

export type Variation = z.infer<typeof variationSchema>;
