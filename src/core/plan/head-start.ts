import { halfway, NEVER, toRung, type Counter } from '../ladder';
import type { PlannedExercise } from './work';

type Going = Counter & {
  /** A try so far was not clean. */
  readonly missed: boolean;
};

/** What waited for a work that is through without a miss, and for nothing else, begins halfway up its ladder, where its
 * course says so. Changes the counters.
 * @param passed which work is through */
export function openAhead(
  works: readonly Pick<PlannedExercise, 'after' | 'headStart' | 'trySeconds'>[],
  going: readonly Going[],
  passed: number,
): void {
  works.forEach(({ after, headStart, trySeconds }, index) => {
    const state = going[index];
    if (!headStart || !state || !after.includes(passed)) return;
    const rung = halfway(trySeconds.length);
    if (state.lastDay !== NEVER || state.climbing || state.rung >= rung) return;
    if (after.every((at) => going[at]?.passed && !going[at].missed)) toRung(state, rung);
  });
}
