import * as z from 'zod/mini';
import { CHOSEN_NOTES } from './data';
import { limbSchema, voiceSchema } from '../kit';
import { partSchema } from './part';

export const orchestrateSchema = z.strictObject({
  kind: z.literal('orchestrate'),
  part: partSchema,
  notes: z.enum(CHOSEN_NOTES),
  /** Whose notes; null is both hands. */
  limb: z.nullable(limbSchema),
  to: voiceSchema,
  /** `second`: only every second time round, so the cycle doubles. */
  pass: z.enum(['every', 'second']),
});

export type Orchestration = Omit<z.infer<typeof orchestrateSchema>, 'kind' | 'part'>;
