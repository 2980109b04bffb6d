import * as z from 'zod/mini';
import { assignmentSchema } from '../kit';
import { dynamicSchema } from '../pattern';
import { amount, list } from '../shape';

/** In 16ths; null is open. */
const sixteenths = z.nullable(amount(0, 256));

/** One row of a teacher's own interpretation: which notes it is about, and what they become. */
const ruleSchema = z.strictObject({
  /** `length`: how long the note sounds (inside tuplets as written). `gap`: how far the next one
   * is, over rests, bar lines and the repeat. */
  by: z.enum(['length', 'gap']),
  /** Both inclusive. */
  from: sixteenths,
  to: sixteenths,
  /** Only on a felt beat, only off it, or anywhere. */
  place: z.enum(['any', 'on', 'off']),
  /** Only the first or the last note of each bar, or any. */
  order: z.enum(['any', 'first', 'last']),
  /** Who plays the note; two double it. */
  plays: list(assignmentSchema, 1, 2),
  dynamic: dynamicSchema,
  /** Who fills the 16ths up to the next note, low; null leaves them. */
  fill: z.nullable(assignmentSchema),
});

export type Rule = Readonly<z.infer<typeof ruleSchema>>;

/** The rows of a table, tried from the top. */
export const ruleTableSchema = list(ruleSchema, 1, 24);

export const rulesSchema = z.strictObject({ kind: z.literal('rules'), rules: ruleTableSchema });

export type RulesOptions = z.infer<typeof rulesSchema>;
