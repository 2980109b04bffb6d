import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { whole } from '../shape';
import { partSchema } from './part';

export const substituteSchema = z.strictObject({
  kind: z.literal('substitute'),
  part: partSchema,
  /** Of so many strokes one is given away. */
  every: whole(1, 64),
  /** Which of them, from 1. */
  place: whole(1, 64),
  to: assignmentSchema,
  /** `anew`: the hands that are left alternate, from the first of them on, across the seam too. */
  hands: z.enum(['kept', 'anew']),
});

export type Substitution = Omit<z.infer<typeof substituteSchema>, 'kind' | 'part'>;
