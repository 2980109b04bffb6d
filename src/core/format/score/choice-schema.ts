import * as z from 'zod/mini';
import { idSchema } from '../../id';
import { voiceSchema } from '../../kit';
import { list, text, whole } from '../../shape';
import { PLAYED_GRIDS } from './played-grid';

/** What a part of a file may become. */
export const DRAFT_KINDS = ['line', 'ostinato', 'exercise'] as const;

const choiceSchema = z.strictObject({
  part: whole(0, 999),
  as: z.enum([...DRAFT_KINDS, 'leave']),
  /** The voice that a line is taken from; null takes all that is struck. */
  voice: z.nullable(text(40)),
  /** Where it is cut: where something begins (at repeats, double bars, marks), nowhere, or every so many bars. */
  cut: z.union([z.enum(['signs', 'whole']), whole(1, 500)]),
});

/** What is made of the parts of a file, the grid that played notes are put on, and whose a log is that does not say so;
 * null leaves it to what is likely, and such a log out. */
export const fileChoicesSchema = z.strictObject({
  grid: z.nullable(z.enum(PLAYED_GRIDS)),
  parts: z.nullable(list(choiceSchema, 0, 1000)),
  /** What a key of a file is, where it is no drum of ours or is meant to be another one; null leaves it out. */
  keys: z.optional(
    list(z.strictObject({ key: whole(0, 127), voice: z.nullable(voiceSchema) }), 0, 128),
  ),
  student: z.nullable(idSchema<'person'>()),
});

export type Choice = Readonly<z.infer<typeof choiceSchema>>;
export type FileChoices = Readonly<z.infer<typeof fileChoicesSchema>>;
