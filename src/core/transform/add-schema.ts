import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { subdivisionSchema } from '../time';

/** Strokes put in by a grid that goes round through the whole cycle. */
export const placeSchema = z.strictObject({
  kind: z.literal('place'),
  to: assignmentSchema,
  slot: subdivisionSchema,
  grid: z.string().check(z.regex(/^[xXg-]{1,64}$/)),
});
