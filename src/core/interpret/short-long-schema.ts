import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { subdivisionSchema } from '../time';

export const shortLongSchema = z.strictObject({
  kind: z.literal('short-long'),
  short: assignmentSchema,
  long: assignmentSchema,
  /** Notes of this length or longer are long; usually a quarter. */
  longFrom: subdivisionSchema,
});

export type ShortLongOptions = z.infer<typeof shortLongSchema>;
