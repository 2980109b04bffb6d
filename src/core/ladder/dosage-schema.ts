import * as z from 'zod/mini';
import { DOSAGE_KINDS } from './data';
import { amount as amountSchema } from '../shape';

/** How much is one try. Repetitions are cycles of the exercise; strokes are those of all limbs,
 * grace notes, diddles and rolls counted as what the limb does. */
export const dosageSchema = z.strictObject({
  kind: z.enum(DOSAGE_KINDS),
  amount: amountSchema(0.5, 5000),
});

export type Dosage = z.infer<typeof dosageSchema>;
