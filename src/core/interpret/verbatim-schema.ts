import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';

export const verbatimSchema = z.strictObject({
  kind: z.literal('verbatim'),
  on: assignmentSchema,
});

export type VerbatimOptions = z.infer<typeof verbatimSchema>;
