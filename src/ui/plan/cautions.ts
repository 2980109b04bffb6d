import { minutesOf, type PlannedTry, type Planning } from '@/core/plan';
import { expand } from '@/core/recipe';
import { isLongInARow, longestInARow, overDose } from '@/core/safety';
import type { PlanItem } from '@/core/studio';
import { bpm, tempoFor } from '@/core/time';
import { sayDose, sayInARow, type Say } from '@/words';

/** What a day asks of ears and limbs, where it is much. @param items by work */
export function cautionsOf(
  say: Say,
  entries: readonly PlannedTry[],
  items: readonly Pick<PlanItem, 'plays' | 'bpm'>[],
  { schedule }: Pick<Planning, 'schedule'>,
): readonly string[] {
  const stints = entries.map(({ work, playSeconds }) => {
    const item = items[work];
    const made = item && expand(item.plays);
    if (!item || !made?.ok) return { exercise: null, tempo: null, seconds: playSeconds };
    const tempo = tempoFor(made.value.meter, bpm(item.bpm));
    return { exercise: made.value, tempo, seconds: playSeconds };
  });
  const dose = overDose(minutesOf(entries), schedule.noise);
  const row = longestInARow(stints);
  return [
    ...(dose ? [sayDose(say, dose)] : []),
    ...(isLongInARow(row) ? [sayInARow(say, row)] : []),
  ];
}
