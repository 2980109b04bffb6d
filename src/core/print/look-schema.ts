import * as z from 'zod/mini';

/** How a sheet looks; what a teacher chooses. */
export const lookSchema = z.strictObject({
  paper: z.enum(['a4', 'letter']),
  /** Larger type and notes, for reading from afar. */
  large: z.boolean(),
  count: z.boolean(),
  sticking: z.boolean(),
  /** Motions of the hands under the notes. */
  motions: z.boolean(),
  /** Ladders with boxes to tick. */
  ladder: z.boolean(),
});

export type Look = z.infer<typeof lookSchema>;
