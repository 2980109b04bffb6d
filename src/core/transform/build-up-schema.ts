import * as z from 'zod/mini';
import { limbSchema } from '../kit';
import { whole, list } from '../shape';
import { subdivisionSchema } from '../time';

/** What these limbs play alone. */
export const onlySchema = z.strictObject({
  kind: z.literal('only'),
  limbs: list(limbSchema, 1, 4),
});

/** A stretch of the cycle, the rest silent; `from` counts slots from its start. */
export const excerptSchema = z.strictObject({
  kind: z.literal('excerpt'),
  from: whole(0, 4096),
  slots: whole(1, 4096),
  slot: subdivisionSchema,
});

export const plainSchema = z.strictObject({ kind: z.literal('plain') });

export const openGracesSchema = z.strictObject({
  kind: z.literal('open-graces'),
  slot: subdivisionSchema,
});

/** How far grace notes lie apart, in milliseconds. */
export const graceWidthSchema = z.strictObject({
  kind: z.literal('grace-width'),
  ms: whole(5, 120),
});
