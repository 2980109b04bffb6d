import * as z from 'zod/mini';
import { within } from '../shape';
import { subdivisionSchema } from '../time';
import { partSchema } from './part';
import { CHANGE_NUMBERS } from './numbers';

export const displaceSchema = z.strictObject({
  kind: z.literal('displace'),
  what: z.enum(['pattern', 'accents', 'sticking']),
  part: partSchema,
  /** Slots later; negative is earlier. Sticking moves by strokes. */
  by: within(CHANGE_NUMBERS.displace.by),
  slot: subdivisionSchema,
});

export const pushSchema = z.strictObject({
  kind: z.literal('push'),
  part: partSchema,
  /** Counts the instants of the line from 1. */
  note: within(CHANGE_NUMBERS.push.note),
  /** Slots earlier. */
  by: within(CHANGE_NUMBERS.push.by),
  slot: subdivisionSchema,
});
