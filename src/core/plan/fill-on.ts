import type { PlannedTry } from './day-plan';
import { fillDay } from './fill';
import type { Schedule } from './schedule-schema';
import type { Stretch } from './stretches';
import type { LadderInPlan, PlannedExercise } from './work';

/** Fills a day and goes through it, as it goes, until it has nothing more: what is passed in it is not played on, and
 * what that opens is opened on the same day.
 * @param play plays a try, or has a break, which changes the states */
export function fillOn(
  works: readonly PlannedExercise[],
  states: readonly LadderInPlan[],
  day: number,
  stretches: readonly Stretch[],
  order: Schedule['order'],
  play: (entry: PlannedTry) => void,
): void {
  let left = stretches;
  const least = leastOf(works);
  for (let goesOn = true; goesOn && left.some(({ seconds }) => seconds >= least);) {
    goesOn = false;
    let [nth, used] = [0, 0];
    for (const entry of fillDay(works, states, day, left, order)) {
      if (entry.kind === 'new' && states[entry.work]?.passed) continue;
      while (!holds(left[nth], used, entry)) [nth, used] = [nth + 1, 0];
      used += entry.seconds;
      play(entry);
      goesOn = true;
    }
    left = leftFrom(left, nth, used);
  }
}

/** Seconds that nothing can be played in: less than half of the shortest try. This is asked for every day of every
 * future. */
function leastOf(works: readonly PlannedExercise[]): number {
  let least = LEAST.get(works);
  if (least === undefined) {
    least = works.reduce((all, { trySeconds }) => Math.min(all, ...trySeconds), Infinity) / 2;
    LEAST.set(works, least);
  }
  return least;
}

const LEAST = new WeakMap<readonly PlannedExercise[], number>();

/** Whether an entry is played in a stretch, of which so much is over; there is one for every entry. */
function holds(stretch: Stretch | undefined, used: number, { on, seconds }: PlannedTry): boolean {
  return !stretch || (stretch.on === on && used + seconds <= stretch.seconds);
}

/** What is left of a day from the nth of its stretches on, of which so much is over. */
function leftFrom(stretches: readonly Stretch[], nth: number, used: number): readonly Stretch[] {
  const [now, ...later] = stretches.slice(nth);
  if (!now || used >= now.seconds) return later;
  return [{ on: now.on, seconds: now.seconds - used }, ...later];
}
