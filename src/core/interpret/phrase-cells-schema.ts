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
  });
}

export type PhraseCellsOptions = z.infer<
  ReturnType<typeof phraseCellsSchema<typeof cellSetSchema>>
>;
