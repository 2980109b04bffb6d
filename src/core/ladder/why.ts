import type { Variation } from '../log';
import type { Course } from './course-schema';
import type { RungFacts } from './rung-key';
import { rungAt, type LadderState, type Proposal, type RungReason } from './state';

/** Why a ladder stands where it stands, with all that is said of it. */
export type Why =
  | {
      readonly kind: 'ladder';
      readonly reason: RungReason;
      readonly here: RungFacts;
      readonly rule: Course['rule'];
      /** The ladder waits for the teacher. */
      readonly waits: boolean;
      readonly variation: Variation | null;
      readonly proposal: Proposal | null;
    }
  /** The exercise was changed since, and the step or variation cannot be made of it any more. */
  | { readonly kind: 'cannot-be-varied' };

export function whyOf(
  state: LadderState,
  { rule, follow }: Pick<Course, 'rule'> & Partial<Pick<Course, 'follow'>>,
): Why {
  const { reason, variation, proposal } = state;
  const here = rungAt(state.rungs, state.rung).asks;
  const waits = follow === 'proposes';
  return { kind: 'ladder', reason, here, rule, waits, variation, proposal };
}
