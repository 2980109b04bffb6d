import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { list } from '../shape';
import { subdivisionSchema } from '../time';

export const lineFillSchema = z.strictObject({
  kind: z.literal('line-fill'),
  /** Who plays the short notes of the line; two together double it. */
  short: list(assignmentSchema, 1, 2),
  /** Who plays the long ones; the same as `short` where length does not matter. */
  long: list(assignmentSchema, 1, 2),
  longFrom: subdivisionSchema,
  /** Who plays every slot that the line leaves, low. */
  fill: assignmentSchema,
  grid: subdivisionSchema,
});

export type LineFillOptions = z.infer<typeof lineFillSchema>;
