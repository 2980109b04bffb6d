import * as z from 'zod/mini';
import { partSchema } from './part';

export const mirrorSchema = z.strictObject({
  kind: z.literal('mirror'),
  what: z.enum(['hands', 'all limbs']),
  part: partSchema,
});
