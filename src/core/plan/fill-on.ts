import { fillDay, type PlannedTry } from './fill';
import type { Schedule } from './schedule-schema';
import { leftAfter, type Stretch } from './stretches';
import type { LadderInPlan, PlannedExercise } from './work';

/** Fills a day and goes through it, as it goes: what is passed in it is not played on, and what that opens is
 * opened on the same day, while there is time.
 * @param play plays a try, or has a break, which changes the states; answers whether a ladder was passed */
export function fillOn(
  works: readonly PlannedExercise[],
  states: readonly LadderInPlan[],
  day: number,
  stretches: readonly Stretch[],
  order: Schedule['order'],
  play: (entry: PlannedTry) => boolean,
): void {
  let left = stretches;
  for (let opens = true; opens && left.length > 0;) {
    opens = false;
    let used = 0;
    for (const entry of fillDay(works, states, day, left, order)) {
      if (entry.kind === 'new' && states[entry.work]?.passed) continue;
      used += entry.seconds;
      if (play(entry)) opens = true;
    }
    left = leftAfter(left, used);
  }
}
