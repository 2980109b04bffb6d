import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tick } from '../time';
import { dosageBars } from './dosage';
import type { Dosage } from './dosage-schema';
import { rungsOf } from './ladder';
import type { Ladder } from './ladder-schema';
import type { AdvanceRule } from './rule-schema';

/** Least practice time from start to target, when every try is clean: rungs · cleans · dosage.
 * @returns minutes, or null where a try is not measured in minutes
 * @example 60→100 by 5, 3 clean, 5 minutes // => 135 */
export function leastMinutes(ladder: Ladder, rule: AdvanceRule, dosage: Dosage): number | null {
  const each = rungsOf(ladder).map((rung) => rung.dosage ?? dosage);
  if (each.some((one) => one.kind !== 'minutes')) return null;
  return each.reduce((sum, one) => sum + one.amount * rule.clean, 0);
}

/** The same for any dosage, from how long each rung's try takes.
 * @param beatTicks ticks of the beat that the tempo counts
 * @returns minutes */
export function leastMinutesOf(
  ladder: Ladder,
  rule: AdvanceRule,
  dosage: Dosage,
  exercise: Exercise,
  beatTicks: Tick,
): number {
  const seconds = rungsOf(ladder).map((rung) => {
    const tempo = { bpm: rung.bpm, beatTicks };
    const bars = dosageBars(rung.dosage ?? dosage, exercise, tempo);
    return ticksToSeconds(bars * exercise.barTicks, tempo);
  });
  return (rule.clean * seconds.reduce((sum, one) => sum + one, 0)) / 60;
}
