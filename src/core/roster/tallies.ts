import { daysAfter, type Day } from '../calendar';
import { LIMBS } from '../kit';
import type { SufferingId, VerdictKey } from '../log';
import type { ItemDay, ItemSums, SufferedCount } from '../progress';

/** Minutes of practice on each of the last days, oldest first; days without practice are 0.
 * @param done what was practised, of any items  @param days how many, up to today */
export function minutesByDay(
  done: readonly Pick<ItemDay, 'day' | 'seconds'>[],
  today: Day,
  days: number,
): readonly { readonly day: Day; readonly minutes: number }[] {
  const seconds = new Map<Day, number>();
  for (const one of done) seconds.set(one.day, (seconds.get(one.day) ?? 0) + one.seconds);
  return Array.from({ length: days }, (_, index) => {
    const day = daysAfter(today, index + 1 - days);
    return { day, minutes: Math.round((seconds.get(day) ?? 0) / 6) / 10 };
  });
}

/** How often each verdict was given, over several items. */
export function verdictMix(
  items: readonly Pick<ItemSums, 'mix'>[],
): Readonly<Record<VerdictKey, number>> {
  const mix = { clean: 0, shaky: 0, lost: 0, open: 0 };
  for (const one of items) {
    mix.clean += one.mix.clean;
    mix.shaky += one.mix.shaky;
    mix.lost += one.mix.lost;
    mix.open += one.mix.open;
  }
  return mix;
}

/** What suffered, by limb, over several items: most often first. */
export function sufferedByLimb(
  items: readonly Pick<ItemSums, 'suffered'>[],
): readonly (SufferedCount & { readonly what: SufferingId })[] {
  const found = new Map<SufferingId, SufferedCount>();
  for (const [what, { times, limbs }] of items.flatMap((one) => [...one.suffered])) {
    const before = found.get(what) ?? { times: 0, limbs: {} };
    const sum = { ...before.limbs };
    for (const limb of LIMBS) {
      const more = limbs[limb];
      if (more) sum[limb] = (sum[limb] ?? 0) + more;
    }
    found.set(what, { times: before.times + times, limbs: sum });
  }
  return [...found].map(([what, count]) => ({ what, ...count })).sort((a, b) => b.times - a.times);
}
