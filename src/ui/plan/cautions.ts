import { minutesOf, type Entry, type Planning } from '@/core/plan';
import { expand } from '@/core/recipe';
import { longestInARow, sayDose, sayInARow } from '@/core/safety';
import type { PlanItem } from '@/core/studio';
import { bpm, tempoFor } from '@/core/time';

/** What a day asks of ears and limbs, where it is much. @param items by work */
export function cautionsOf(
  entries: readonly Entry[],
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
  const says = [sayDose(minutesOf(entries), schedule.noise), sayInARow(longestInARow(stints))];
  return says.filter((one) => one !== null);
}
