import * as z from 'zod/mini';
import { limbSchema, voiceSchema, assignmentSchema } from '../kit';
import { dynamicSchema } from '../pattern';
import { within } from '../shape';
import { CHANGE_NUMBERS } from './numbers';

export const everyNthSchema = z.strictObject({
  kind: z.literal('every-nth'),
  /** Whose notes are counted: a limb, or one of its voices alone. */
  of: z.strictObject({ limb: limbSchema, voice: z.nullable(voiceSchema) }),
  /** Every so many notes. */
  nth: within(CHANGE_NUMBERS['every-nth'].nth),
  /** A note that is one of them, from 1; those before it are counted, too. */
  first: within(CHANGE_NUMBERS['every-nth'].first),
  to: assignmentSchema,
  dynamic: dynamicSchema,
});

export type EveryNth = Omit<z.infer<typeof everyNthSchema>, 'kind'>;
