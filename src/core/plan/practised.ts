import { daysAfter, type Day } from '../calendar';
import { isHand } from '../kit';
import type { Exercise } from '../recipe';
import { datesFrom, hoursOn } from './schedule';
import type { Schedule } from './schedule-schema';

/** Whether an exercise cannot be practised on a pad: hands play more than one voice, which one pad cannot tell apart, or no
 * hand plays. Feet tap the floor. Common practice, no source. */
export function needsKit(exercise: Exercise): boolean {
  const byHand = exercise.strokes.filter(({ limb }) => isHand(limb));
  return new Set(byHand.map(({ voice }) => voice)).size !== 1;
}

/** So far back a missed date is still worth a word. */
const MISSED_WITHIN = 14;

/** So far back tells how a student keeps to the dates. */
const KEEPING_WITHIN = 28;

/** Dates with minutes that passed without practice since the last one with some, oldest first; none of
 * before the schedule, and none where nobody has set one.
 * @param practised dates with practice */
export function missedDays(
  schedule: Schedule,
  practised: ReadonlySet<Day>,
  today: Day,
): readonly Day[] {
  const last = [...practised]
    .filter((day) => day <= today)
    .sort()
    .at(-1);
  const { since } = schedule;
  if (last === undefined || since === null) return [];
  return datesFrom(daysAfter(today, -MISSED_WITHIN), MISSED_WITHIN).filter(
    (day) => day > last && day >= since && hoursOn(schedule, day).minutes > 0,
  );
}

/** What is taken for granted before anything is known: of four dates three are kept; chosen for lack of a source. */
const UNKNOWN = { kept: 3, planned: 4 };

/** Share of the planned dates of the last weeks on which there was practice, 0 to 1; as if three of four more had
 * been kept, so that few dates say little. */
export function keepingShare(schedule: Schedule, practised: ReadonlySet<Day>, today: Day): number {
  const played = [...practised].sort().at(0);
  if (played === undefined) return UNKNOWN.kept / UNKNOWN.planned;
  const first = schedule.since !== null && schedule.since > played ? schedule.since : played;
  const planned = datesFrom(daysAfter(today, -KEEPING_WITHIN), KEEPING_WITHIN).filter(
    (day) => day >= first && hoursOn(schedule, day).minutes > 0,
  );
  const kept = planned.filter((day) => practised.has(day)).length;
  return (kept + UNKNOWN.kept) / (planned.length + UNKNOWN.planned);
}
