import { z } from 'zod';
import { variationSchema } from './variation';

/** What a teacher can decide about an item. `accept` and `decline` answer what is proposed, `move`
 * puts the student on a rung, `vary` changes what is played (null: the whole again). */
export const decisionSchema = z.discriminatedUnion('does', [
  z.strictObject({ does: z.literal('accept'), proposal: z.string().max(20) }),
  z.strictObject({ does: z.literal('decline'), proposal: z.string().max(20) }),
  z.strictObject({ does: z.literal('move'), rung: z.int().min(0).max(200) }),
  z.strictObject({ does: z.literal('vary'), variation: variationSchema.nullable() }),
]);

export type Decision = z.infer<typeof decisionSchema>;
