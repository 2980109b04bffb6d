import * as z from 'zod/mini';
import { dosageSchema } from './dosage-schema';
import { ladderSchema } from './ladder-schema';
import { advanceRuleSchema } from './rule-schema';

/** How an exercise is worked on: its ladder, what one try is, and when to go on. */
export const courseSchema = z.strictObject({
  ladder: ladderSchema,
  dosage: dosageSchema,
  rule: advanceRuleSchema,
  /** Whether the ladder moves by itself, or waits for the teacher to say so. */
  follow: z._default(z.enum(['acts', 'proposes']), 'acts'),
  /** Whether the start is found by climbing, two bars a rung, to the first that is not clean. */
  climb: z._default(z.boolean(), false),
  /** Whether it begins halfway up where all that comes before it was played without a miss; not, where left out. */
  headStart: z.optional(z.boolean()),
});

export type Course = z.infer<typeof courseSchema>;
