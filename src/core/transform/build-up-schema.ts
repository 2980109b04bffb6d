import * as z from 'zod/mini';
import { limbSchema } from '../kit';
import { within, list } from '../shape';
import { subdivisionSchema } from '../time';
import { CHANGE_NUMBERS } from './numbers';

/** What these limbs play alone. */
export const onlySchema = z.strictObject({
  kind: z.literal('only'),
  limbs: list(limbSchema, 1, 4),
});

/** A stretch of the cycle, the rest silent; `from` counts slots from its start. */
export const excerptSchema = z.strictObject({
  kind: z.literal('excerpt'),
  from: within(CHANGE_NUMBERS.excerpt.from),
  slots: within(CHANGE_NUMBERS.excerpt.slots),
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
  ms: within(CHANGE_NUMBERS['grace-width'].ms),
});
