import * as z from 'zod/mini';
import { voiceSchema } from '../kit';
import { within, list } from '../shape';
import { partSchema } from './part';
import { CHANGE_NUMBERS } from './numbers';

/** A cell's voices taken as letters A B C…, and the order that replaces theirs. */
export const turnSchema = z.strictObject({
  kind: z.literal('turn'),
  part: partSchema,
  /** Different voices: A, B, C… */
  voices: list(voiceSchema, 2, 6),
  /** Letters that the row is rotated by: 1 makes BCA of ABC. */
  turn: within(CHANGE_NUMBERS.turn.turn),
  /** The contour the other way round first: ACB, with its own rotations. */
  reversed: z.boolean(),
});

export type VoiceTurn = Omit<z.infer<typeof turnSchema>, 'kind' | 'part'>;
