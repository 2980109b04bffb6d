import type { Exercise } from '@/core/recipe';
import type { System } from '../marks';

/** The systems that are shown while a place sounds: its own first, then those that come next, over the seam too.
 * @param at ticks in the cycle  @param count how many there is room for
 * @returns places among the systems */
export function systemsInView(
  systems: readonly System[],
  { barTicks }: Pick<Exercise, 'barTicks'>,
  at: number,
  count: number,
): readonly number[] {
  if (systems.length <= count) return systems.map((_, index) => index);
  const now = systems.findIndex(({ bars }) =>
    bars.some(({ bar, from, to }) => at >= bar * barTicks + from && at < bar * barTicks + to),
  );
  return Array.from({ length: count }, (_, next) => (Math.max(0, now) + next) % systems.length);
}
