import { countName, type Syllables } from '../time';
import type { Exercise } from './exercise';

/** A place of an exercise as it is counted, with its bar where there are several.
 * @param at ticks from the start of the cycle
 * @example placeName(at, rockOfTwoBars) // => '2: & of 3' */
export function placeName(
  at: number,
  { meter, bars, barTicks }: Pick<Exercise, 'meter' | 'bars' | 'barTicks'>,
  syllables?: Syllables,
): string {
  const name = countName(at, meter, syllables);
  return bars === 1 ? name : `${Math.floor(at / barTicks) + 1}: ${name}`;
}
