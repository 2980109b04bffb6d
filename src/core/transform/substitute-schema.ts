import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { within } from '../shape';
import { partSchema } from './part';
import { CHANGE_NUMBERS } from './numbers';

export const substituteSchema = z.strictObject({
  kind: z.literal('substitute'),
  part: partSchema,
  /** Of so many strokes one is given away. */
  every: within(CHANGE_NUMBERS.substitute.every),
  /** Which of them, from 1. */
  place: within(CHANGE_NUMBERS.substitute.place),
  to: assignmentSchema,
  /** `anew`: the hands that are left alternate, from the first of them on, across the seam too. */
  hands: z.enum(['kept', 'anew']),
});

export type Substitution = Omit<z.infer<typeof substituteSchema>, 'kind' | 'part'>;
