import * as z from 'zod/mini';
import { MANNERS } from './data';
import { keptRecipeSchema } from '../recipe';
import { typedText } from '../shape';

/** The recipe of a step, closed; one that cannot be read is kept as it is, and plays nothing. */
const stepRecipe = z.union([
  keptRecipeSchema,
  z.strictObject({ damaged: z.unknown() }),
  z.pipe(
    z.unknown(),
    z.transform((damaged) => ({ damaged })),
  ),
]);

/** A rung that is not a tempo: a step of building the exercise, as the changes that make it, or the
 * whole in another manner. */
export const stageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('step'),
    says: typedText(120),
    recipe: stepRecipe,
  }),
  z.strictObject({ kind: z.literal('manner'), manner: z.enum(MANNERS) }),
]);

export type PracticeStep = z.infer<typeof stageSchema>;
