import * as z from 'zod/mini';
import { voiceSchema } from '../kit';
import { subdivisionSchema } from '../time';

export const accentGridSchema = z.strictObject({
  kind: z.literal('accent-grid'),
  /** What the hands fill: 16ths, or 8th triplets when the line is to swing. */
  grid: subdivisionSchema,
  /** Limb letters that go round slot by slot, from the start of the line; `RL` alternates. */
  sticking: z.string().check(z.regex(/^[RLKF]{1,32}$/)),
  voice: voiceSchema,
  /** Every stroke that is no accent becomes two of the same hand. */
  doubled: z.boolean(),
});

export type AccentGridOptions = z.infer<typeof accentGridSchema>;
