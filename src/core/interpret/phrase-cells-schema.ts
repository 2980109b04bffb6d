import * as z from 'zod/mini';
import { voiceSchema } from '../kit';
import { typedText } from '../shape';

/** Stickings by the gap they fill, in slots. Every cell is as long as its gap. */
export const cellSetSchema = z.strictObject({
  name: typedText(80),
  cells: z.record(
    z.string().check(z.regex(/^[1-9]\d{0,2}$/)),
    z.string().check(z.regex(/^[RLKF]{1,256}$/)),
  ),
});

export type CellSet = z.infer<typeof cellSetSchema>;

/** A cell for one place, and whether its last left is accented; as for all where left out. A cell goes only
 * where it is as long as the gap there. */
const cellPlace = z.strictObject({
  cell: z.optional(z.string().check(z.regex(/^[RLKF]{1,256}$/))),
  accentLast: z.optional(z.boolean()),
});

/** @param cells a set of cells, or what stands for one */
export function phraseCellsSchema<Cells extends z.ZodMiniType>(cells: Cells) {
  return z.strictObject({
    kind: z.literal('phrase-cells'),
    cells,
    /** The teacher's own choice for single gaps; goes before the set. */
    chosen: cellSetSchema.shape.cells,
    /** What each letter sounds. */
    voices: z.strictObject({ R: voiceSchema, L: voiceSchema, K: voiceSchema, F: voiceSchema }),
    /** Accent the last left of a six, as an anticipation of the next lead. */
    accentLastOfSix: z.boolean(),
    /** What single places have otherwise, by the note of the line that they begin on, from 0. */
    places: z.optional(z.record(z.string().check(z.regex(/^\d{1,3}$/)), cellPlace)),
  });
}

export type PhraseCellsOptions = z.infer<
  ReturnType<typeof phraseCellsSchema<typeof cellSetSchema>>
>;
