import * as z from 'zod/mini';
import { whole, text } from '../shape';
import { variationSchema } from './variation-schema';

/** What a teacher can decide about an item. `accept` and `decline` answer what is proposed, `move`
 * puts the student on a rung, `vary` changes what is played (null: the whole again). */
export const decisionSchema = z.discriminatedUnion('does', [
  z.strictObject({
    does: z.literal('accept'),
    proposal: text(20),
    /** Taken in place of what was proposed. */
    variation: z.optional(variationSchema),
  }),
  z.strictObject({ does: z.literal('decline'), proposal: text(20) }),
  z.strictObject({ does: z.literal('move'), rung: whole(0, 200) }),
  z.strictObject({ does: z.literal('vary'), variation: z.nullable(variationSchema) }),
]);

export type Decision = z.infer<typeof decisionSchema>;
