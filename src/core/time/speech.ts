import * as z from 'zod/mini';
import { text } from '../shape';
import { NOTE_NAMES } from './note-names';
import { SYLLABLES_IDS } from './syllables';

/** How a studio names note values and counts. */
export const speechSchema = z.strictObject({
  notes: z.enum(NOTE_NAMES),
  /** A system by its id, or the studio's own syllables: three for 16ths, two for triplets. */
  syllables: z.union([
    z.enum(SYLLABLES_IDS),
    z.strictObject({ sixteenths: text(40), triplets: text(40) }),
  ]),
});

export type Speech = z.infer<typeof speechSchema>;
