import * as z from 'zod/mini';
import { typedText } from '../shape';

/** Ways in which the same thing is played otherwise, where the rung is not a tempo. */
export const MANNERS = [
  'pad',
  'lap',
  'voice',
  'click-2-4',
  'click-drops',
  'click-off',
  'soft',
  'own-music',
  'own-version',
] as const;

export type Manner = (typeof MANNERS)[number];

/** A rung that is not a tempo: a step of building the exercise, as the changes that make it, or the
 * whole in another manner. */
export const stageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('step'),
    says: typedText(120),
    /** The recipe of the step, closed; read with the recipe's own reader. */
    recipe: z.unknown(),
  }),
  z.strictObject({ kind: z.literal('manner'), manner: z.enum(MANNERS) }),
]);

export type PracticeStep = z.infer<typeof stageSchema>;
