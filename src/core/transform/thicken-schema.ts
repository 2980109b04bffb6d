import * as z from 'zod/mini';
import { THINNINGS } from './data';
import { limbSchema, voiceSchema, assignmentSchema } from '../kit';
import { dynamicSchema } from '../pattern';
import { within } from '../shape';
import { subdivisionSchema } from '../time';
import { partSchema } from './part';
import { CHANGE_NUMBERS } from './numbers';

export const thickenSchema = z.strictObject({
  kind: z.literal('thicken'),
  /** What the added notes stand around: every accent, or every note of one voice. */
  around: z.union([z.literal('accents'), voiceSchema]),
  side: z.enum(['before', 'after', 'both']),
  /** Notes on each side. */
  count: within(CHANGE_NUMBERS.thicken.count),
  slot: subdivisionSchema,
  to: assignmentSchema,
  dynamic: dynamicSchema,
});

export type Thickening = Omit<z.infer<typeof thickenSchema>, 'kind' | 'slot'>;

export const thinSchema = z.strictObject({
  kind: z.literal('thin'),
  part: partSchema,
  limb: limbSchema,
  keep: z.enum(THINNINGS),
});
