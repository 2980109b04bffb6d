import * as z from 'zod/mini';
import { MANNERS } from './data';
import { keptRecipeSchema } from '../recipe';
import { amount, typedText } from '../shape';
import { FASTEST, SLOWEST } from '../time';

/** The recipe of a step, closed; one that cannot be read is kept as it is, and plays nothing. */
const stepRecipe = z.union([
  keptRecipeSchema,
  z.strictObject({ damaged: z.unknown() }),
  z.pipe(
    z.unknown(),
    z.transform((damaged) => ({ damaged })),
  ),
]);

const tempo = amount(SLOWEST, FASTEST);

/** Tempi of its own, in bpm: it is climbed through them before the next. */
const way = z.optional(
  z
    .strictObject({ start: tempo, target: tempo, step: z.number() })
    .check(z.refine(({ start, target, step }) => step !== 0 && (target - start) * step >= 0)),
);

/** A rung that is not a tempo: a step of building the exercise, as the changes that make it, or the
 * whole in another manner. */
export const stageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('step'),
    says: typedText(120),
    recipe: stepRecipe,
    /** Without a click. */
    untimed: z.optional(z.boolean()),
    way,
  }),
  z.strictObject({ kind: z.literal('manner'), manner: z.enum(MANNERS), way }),
]);

export type PracticeStep = z.infer<typeof stageSchema>;

/** Tempi from a start to a target, in bpm; the step carries its sign. */
export type StageWay = NonNullable<PracticeStep['way']>;
