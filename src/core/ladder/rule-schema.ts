import * as z from 'zod/mini';
import { whole } from '../shape';
import { MOST_AWAY, MOST_BELOW, MOST_LAST_TRIES, STOPPED_TRIES } from './data';

/** `clean`: so many clean tries on a rung lead to the next one. `lost`: so many lost in a row
 * lead one rung lower. `plateau`: so many practice days on a rung without gain are one. The teacher's
 * settings; no common number exists. */
export const advanceRuleSchema = z
  .strictObject({
    clean: whole(1, 20),
    /** Of so many of the last tries on the rung, instead of in a row. */
    of: z.optional(whole(2, MOST_LAST_TRIES)),
    lost: whole(1, 20),
    plateau: z._default(whole(1, 20), 4),
    /** After more than so many days without the item nothing of before counts, and it is a rung lower where the ladder
     * moves by itself; never, where left out. */
    away: z.optional(whole(2, MOST_AWAY)),
    /** A start that is looked for lies so many rungs below the first that was not clean; one, where left out. */
    below: z.optional(whole(1, MOST_BELOW)),
    /** What a try that was stopped can be: shaky or lost where left out, `nothing`, or `all` that a whole one
     * can. */
    stopped: z.optional(z.enum(STOPPED_TRIES)),
  })
  // Fewer tries than have to be clean could never be enough.
  .check(z.refine(({ clean, of }) => of === undefined || of > clean));

/** What a stopped try counts as; null is the usual. */
export type StoppedTries = NonNullable<AdvanceRule['stopped']> | null;

export type AdvanceRule = z.infer<typeof advanceRuleSchema>;
