import { z } from 'zod';
import type { Limb } from '../kit';
import type { Day } from '../calendar';
import { variationSchema } from './variation';
import type { SufferingId, Verdict } from './verdict';

/** What went wrong in a try, and in which limb. */
export interface Suffered {
  readonly what: SufferingId;
  readonly limb: Limb | null;
}

/** One finished try, as the log keeps it. */
export interface Try {
  readonly kind: 'try';
  readonly id: string;
  readonly day: Day;
  readonly bpm: number;
  /** The rung that was asked for; null where only the tempo is known. */
  readonly rung: string | null;
  readonly verdict: Verdict;
  readonly suffered: readonly Suffered[];
  /** Felt beats of the cycle on which it broke, from 0. */
  readonly broke: readonly number[];
}

/** What a teacher can decide about an item. `accept` and `decline` answer what is proposed, `move`
 * puts the student on a rung, `vary` changes what is played (null: the whole again). */
export const decisionSchema = z.discriminatedUnion('does', [
  z.strictObject({ does: z.literal('accept'), proposal: z.string().max(20) }),
  z.strictObject({ does: z.literal('decline'), proposal: z.string().max(20) }),
  z.strictObject({ does: z.literal('move'), rung: z.int().min(0).max(200) }),
  z.strictObject({ does: z.literal('vary'), variation: variationSchema.nullable() }),
]);

export type Decision = z.infer<typeof decisionSchema>;

/** A decision is a log entry too; one that was taken back stays in the log and moves nothing. */
export interface Decided {
  readonly kind: 'decided';
  readonly id: string;
  readonly day: Day;
  readonly decision: Decision;
}

export interface TakenBack {
  readonly kind: 'taken-back';
  readonly id: string;
  readonly day: Day;
  readonly decisionId: string;
}

export type LogEvent = Try | Decided | TakenBack;
