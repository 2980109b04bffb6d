import * as z from 'zod/mini';
import { limbSchema, voiceSchema, assignmentSchema } from '../kit';
import { dynamicSchema } from '../pattern';
import { whole } from '../shape';

export const everyNthSchema = z.strictObject({
  kind: z.literal('every-nth'),
  /** Whose notes are counted: a limb, or one of its voices alone. */
  of: z.strictObject({ limb: limbSchema, voice: z.nullable(voiceSchema) }),
  /** Every so many notes. */
  nth: whole(1, 32),
  /** A note that is one of them, from 1; those before it are counted, too. */
  first: whole(1, 32),
  to: assignmentSchema,
  dynamic: dynamicSchema,
});

export type EveryNth = Omit<z.infer<typeof everyNthSchema>, 'kind'>;
