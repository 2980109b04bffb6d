import { tick, type Tick } from '../time';
import { instantsOf, type Instant } from './instants';
import { once } from './keep';
import { strokeCode } from './stroke-code';

/** The smallest part that repeats to make the cycle. */
export interface SmallestPart {
  readonly ticks: Tick;
  /** How often it comes in the cycle; 1 when nothing repeats. */
  readonly times: number;
  /** Different things that happen in it: sets of limbs and voices. */
  readonly events: number;
}

/** @returns null when nothing plays
 * @example a quarter-note rock beat // => two beats, two events */
export const smallestPart = once((exercise): SmallestPart | null => {
  const instants = instantsOf(exercise);
  if (instants.length === 0) return null;
  const says = instants.map(sayInstant);
  let times = instants.length;
  while (!repeats(instants, says, exercise.cycleTicks, times)) times -= 1;
  const part = instants.length / times;
  return {
    ticks: tick(exercise.cycleTicks / times),
    times,
    events: new Set(says.slice(0, part)).size,
  };
});

function sayInstant({ strokes }: Instant): number | string {
  const [only] = strokes;
  return strokes.length === 1 && only ? strokeCode(only) : strokes.map(strokeCode).join('+');
}

function repeats(
  instants: readonly Instant[],
  says: readonly (number | string)[],
  cycle: number,
  times: number,
): boolean {
  if (instants.length % times !== 0 || cycle % times !== 0) return false;
  const part = instants.length / times;
  const length = cycle / times;
  return instants.every((instant, index) => {
    const later = instants[index + part];
    if (!later) return true;
    return later.at - instant.at === length && says[index + part] === says[index];
  });
}
