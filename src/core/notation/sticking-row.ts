import { isHand, type Limb } from '../kit';
import type { Exercise } from '../recipe';

/** Which hand, or which foot of a double pedal, plays at a place of a bar. */
export interface StickingSign {
  /** From the start of the bar. */
  readonly at: number;
  /** R and L are hands, r and l feet; two where both play. */
  readonly letters: readonly string[];
}

const LETTERS: Readonly<Record<Limb, string>> = { RH: 'R', LH: 'L', RF: 'r', LF: 'l' };

/** The sticking of a bar, as it is written under a staff. Feet have letters where both play one drum.
 * @param bar from 0 */
export function stickingRow(
  { strokes, barTicks }: Pick<Exercise, 'strokes' | 'barTicks'>,
  bar: number,
): readonly StickingSign[] {
  const shared = drumsOfBothFeet(strokes);
  const found = new Map<number, Set<string>>();
  for (const { at, limb, voice } of strokes) {
    if (Math.floor(at / barTicks) !== bar || !(isHand(limb) || shared.has(voice))) continue;
    const here = found.get(at % barTicks) ?? new Set<string>();
    found.set(at % barTicks, here.add(LETTERS[limb]));
  }
  return [...found]
    .sort(([a], [b]) => a - b)
    .map(([at, letters]) => ({ at, letters: [...letters].sort() }));
}

function drumsOfBothFeet(strokes: Exercise['strokes']): ReadonlySet<string> {
  const voicesOf = (foot: Limb) =>
    new Set<string>(strokes.filter(({ limb }) => limb === foot).map(({ voice }) => voice));
  const left = voicesOf('LF');
  return new Set([...voicesOf('RF')].filter((voice) => left.has(voice)));
}
