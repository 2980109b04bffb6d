import { z } from 'zod';

/** Ways in which the same thing is played otherwise, where the rung is not a tempo. */
export const MANNERS = {
  pad: 'on the pad',
  lap: 'on the lap',
  voice: 'sung and counted',
  'click-2-4': 'click on 2 and 4',
  'click-drops': 'click drops out',
  'click-off': 'without a click',
  soft: 'everything soft',
  'own-music': 'to music of your own',
  'own-version': 'your own version',
} as const;

export type Manner = keyof typeof MANNERS;

const MANNER_IDS = Object.keys(MANNERS) as [Manner, ...Manner[]];

/** A rung that is not a tempo: a step of building the exercise, as the changes that make it, or the
 * whole in another manner. */
export const stageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('step'),
    says: z.string().trim().min(1).max(120),
    /** The recipe of the step, closed; read with the recipe's own reader. */
    recipe: z.unknown(),
  }),
  z.strictObject({ kind: z.literal('manner'), manner: z.enum(MANNER_IDS) }),
]);

export type Stage = z.infer<typeof stageSchema>;
