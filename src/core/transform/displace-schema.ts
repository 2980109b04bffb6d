import * as z from 'zod/mini';
import { whole } from '../shape';
import { subdivisionSchema } from '../time';
import { partSchema } from './part';

export const displaceSchema = z.strictObject({
  kind: z.literal('displace'),
  what: z.enum(['pattern', 'accents', 'sticking']),
  part: partSchema,
  /** Slots later; negative is earlier. Sticking moves by strokes. */
  by: whole(-64, 64),
  slot: subdivisionSchema,
});

export const pushSchema = z.strictObject({
  kind: z.literal('push'),
  part: partSchema,
  /** Counts the instants of the line from 1. */
  note: whole(1, 512),
  /** Slots earlier. */
  by: whole(1, 64),
  slot: subdivisionSchema,
});
