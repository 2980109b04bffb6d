import { daysAfter, type Day } from '../calendar';
import { LIMBS, type Limb } from '../kit';
import { VERDICTS, type Suffered, type SufferingId, type Verdict } from '../ladder';

/** What a tally counts of a try. */
export interface Tallied {
  readonly day: Day;
  readonly seconds: number;
  readonly verdict: Verdict;
  readonly suffered: readonly Suffered[];
}

/** Minutes of practice on each of the last days, oldest first; days without practice are 0.
 * @param days how many, up to today */
export function minutesByDay(
  tries: readonly Tallied[],
  today: Day,
  days: number,
): readonly { readonly day: Day; readonly minutes: number }[] {
  const seconds = new Map<Day, number>();
  for (const one of tries) seconds.set(one.day, (seconds.get(one.day) ?? 0) + one.seconds);
  return Array.from({ length: days }, (_, index) => {
    const day = daysAfter(today, index + 1 - days);
    return { day, minutes: Math.round((seconds.get(day) ?? 0) / 6) / 10 };
  });
}

/** How often each verdict was given. */
export function verdictMix(tries: readonly Tallied[]): Readonly<Record<Verdict, number>> {
  const mix = { clean: 0, shaky: 0, lost: 0 };
  for (const verdict of VERDICTS) {
    mix[verdict] = tries.filter((one) => one.verdict === verdict).length;
  }
  return mix;
}

/** What suffered, by limb: most often first. */
export function sufferedByLimb(tries: readonly Tallied[]): readonly {
  readonly what: SufferingId;
  readonly times: number;
  readonly limbs: Readonly<Partial<Record<Limb, number>>>;
}[] {
  const found = new Map<SufferingId, { times: number; limbs: Partial<Record<Limb, number>> }>();
  for (const { what, limb } of tries.flatMap((one) => one.suffered)) {
    const count = found.get(what) ?? { times: 0, limbs: {} };
    count.times += 1;
    if (limb && LIMBS.includes(limb)) count.limbs[limb] = (count.limbs[limb] ?? 0) + 1;
    found.set(what, count);
  }
  return [...found].map(([what, count]) => ({ what, ...count })).sort((a, b) => b.times - a.times);
}
