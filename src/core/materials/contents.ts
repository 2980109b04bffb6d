import * as z from 'zod/mini';
import { cellSetSchema, ruleTableSchema } from '../interpret';
import { kitSchema } from '../kit';
import { lineTextSchema } from '../reading';
import { typedText } from '../shape';
import { stickingSchema } from '../sticking';
import type { MaterialKind } from './kinds';
import { ostinatoSchema } from './ostinato-schema';

const name = typedText(80);

/** What each kind of material holds, checked where it comes in. */
const materialSchemas = {
  ostinato: ostinatoSchema,
  line: z.strictObject({ name, text: lineTextSchema.shape.text }),
  sticking: stickingSchema,
  cells: cellSetSchema,
  rules: z.strictObject({ name, rules: ruleTableSchema }),
  kit: kitSchema,
} as const satisfies Readonly<Record<MaterialKind, z.ZodMiniType>>;

export type MaterialContents = {
  readonly [Kind in MaterialKind]: Readonly<z.infer<(typeof materialSchemas)[Kind]>>;
};

function held<const Kind extends MaterialKind>(kind: Kind) {
  return z.object({ kind: z.literal(kind), content: materialSchemas[kind] });
}

/** A kind with what a material of that kind holds. */
export const heldSchema = z.discriminatedUnion('kind', [
  held('ostinato'),
  held('line'),
  held('sticking'),
  held('cells'),
  held('rules'),
  held('kit'),
]);

export type Held = z.infer<typeof heldSchema>;
