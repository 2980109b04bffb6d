import * as z from 'zod/mini';
import { limbSchema, voiceSchema, assignmentSchema } from '../kit';
import { partSchema } from './part';

export const giveSchema = z.strictObject({
  kind: z.literal('give'),
  part: partSchema,
  from: limbSchema,
  to: assignmentSchema,
});

export const revoiceSchema = z.strictObject({
  kind: z.literal('revoice'),
  part: partSchema,
  from: voiceSchema,
  to: voiceSchema,
  /** Whose notes; every limb's when left out. */
  limb: z.optional(limbSchema),
});

export const swapFeetSchema = z.strictObject({ kind: z.literal('swap-feet'), part: partSchema });
