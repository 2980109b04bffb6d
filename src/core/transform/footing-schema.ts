import * as z from 'zod/mini';
import { FOOTINGS } from './data';
import { partSchema } from './part';

export const footingSchema = z.strictObject({
  kind: z.literal('footing'),
  part: partSchema,
  school: z.enum(FOOTINGS),
});
