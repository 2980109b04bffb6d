import * as z from 'zod/mini';
import { voiceSchema } from '../kit';
import { dynamicSchema } from '../pattern';
import { whole, text, typedText } from '../shape';
import { subdivisionSchema } from '../time';

/** A sticking to be played: cells in slots, what each limb sounds, and how it meets the bar. */
export const stickingSchema = z.strictObject({
  name: z.optional(typedText(80)),
  /** `RLL RLL RLRR`; see `parsePhrase`. */
  sticking: text(600),
  slot: subdivisionSchema,
  voices: z.strictObject({ RH: voiceSchema, LH: voiceSchema, RF: voiceSchema, LF: voiceSchema }),
  /** What is accented where the sticking itself marks nothing: the first stroke of each cell, bar
   * or beat, or nothing. */
  accents: z.enum(['cells', 'bars', 'beats', 'none']),
  /** What the other strokes are. */
  soft: dynamicSchema,
  /** Null plays the full cycle over the bar line; else so many bars are filled. */
  bars: z.nullable(whole(1, 64)),
  /** Fills what whole repeats leave of the bars. */
  ending: z.string().check(z.regex(/^[RLKFTrl-]{0,32}$/)),
  /** `hand over`: each time round is led by the hand that follows naturally. */
  sides: z.enum(['written', 'hand over']),
});

export type Sticking = Readonly<z.infer<typeof stickingSchema>>;
