import * as z from 'zod/mini';
import { subdivisionSchema } from '../time';
import { partSchema } from './part';

export const reverseSchema = z.strictObject({
  kind: z.literal('reverse'),
  part: partSchema,
  slot: subdivisionSchema,
});
