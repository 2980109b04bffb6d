import * as z from 'zod/mini';
import { within } from '../shape';
import { subdivisionSchema } from '../time';
import { CHANGE_NUMBERS } from './numbers';

export const aimSchema = z.strictObject({
  kind: z.literal('aim'),
  /** Length of the whole, in bars. */
  bars: within(CHANGE_NUMBERS.aim.bars),
  /** How often the phrase is played, back to back. */
  times: within(CHANGE_NUMBERS.aim.times),
  /** Where it lands, in slots after the end of the whole; negative is before it. Where it is its start that
   * is placed, slots after `on`. */
  lands: within(CHANGE_NUMBERS.aim.lands),
  slot: subdivisionSchema,
  /** What lands there: the phrase's end, or its last note; or where its start lies. */
  by: z.enum(['end', 'last note', 'start']),
  /** Bar and beat of its start, from 1; the last bar's first beat when left out. */
  on: z.optional(
    z.strictObject({ bar: within(CHANGE_NUMBERS.aim.bars), beat: within(CHANGE_NUMBERS.aim.beat) }),
  ),
  /** What the ostinato does under the phrase. */
  over: z.enum(['goes on', 'rests']),
});

export type Aim = Pick<z.infer<typeof aimSchema>, 'bars' | 'times' | 'by' | 'over'> & {
  /** In ticks after the end of the whole; of its start, after the start of the whole. */
  readonly landsTicks: number;
};
