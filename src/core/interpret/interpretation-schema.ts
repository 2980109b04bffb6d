import * as z from 'zod/mini';
import { accentGridSchema } from './accent-grid-schema';
import { lineFillSchema } from './line-fill-schema';
import { cellSetSchema, phraseCellsSchema } from './phrase-cells-schema';
import { rulesSchema } from './rules-schema';
import { shortLongSchema } from './short-long-schema';
import { verbatimSchema } from './verbatim-schema';

/** An interpretation with its options, as a recipe holds it. Add a kind here and in the registry.
 * @param cells a set of cells, or what stands for one */
export function interpretationSchema<Cells extends z.ZodMiniType>(cells: Cells) {
  return z.discriminatedUnion('kind', [
    verbatimSchema,
    shortLongSchema,
    phraseCellsSchema(cells),
    accentGridSchema,
    lineFillSchema,
    rulesSchema,
  ]);
}

export type InterpretationOptions = z.infer<
  ReturnType<typeof interpretationSchema<typeof cellSetSchema>>
>;
