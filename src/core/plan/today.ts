import type { PlannedTry } from './day-plan';
import { fillDay } from './fill';
import { planDays, type Planning } from './plan';
import { hoursOn } from './schedule';
import type { Hours } from './schedule-schema';
import { stretchesOf } from './stretches';
import { dayNumber } from '../calendar';
import { goingFrom } from './work';

/** What to do now: what the schedule has left for today, or so many minutes from now on, what matters most first.
 * @param now null keeps to the schedule; its `minutes` are still to come
 * @returns entries in order, breaks among them */
export function planToday(
  planning: Planning,
  now: Pick<Hours, 'minutes' | 'on' | 'at'> | null,
): readonly PlannedTry[] {
  if (now === null) return planDays({ ...planning, count: 1 }).days[0]?.entries ?? [];
  const { works, states, schedule, today } = planning;
  const { quiet } = hoursOn(schedule, today);
  const stretches = stretchesOf({ ...now, quiet });
  const going = states.map(goingFrom);
  return fillDay(works, going, dayNumber(today), stretches, schedule.order, true);
}
