import { isHand, type Limb, type VoiceId } from '../kit';
import { laneSlots } from './ostinato';
import type { Lane, Ostinato } from './ostinato-schema';

/** Voices on which a hand's accents are a backbeat. */
const BACKBEATS: readonly VoiceId[] = ['snare', 'cross-stick', 'rim-shot', 'aux-snare'];

/** A part of an ostinato that must stay, whatever is played over it: all of it, or a backbeat's accents. */
export interface Anchor {
  /** Its place among the lanes, from 0. */
  readonly lane: number;
  readonly kind: 'backbeat' | 'pattern';
  readonly limb: Limb;
}

/** What of an ostinato never gives way unasked: the accents of a hand on the snare, else a part that is the
 * point of it (a clave, a foot pattern, a sticking that goes round). A ride, hats and the bass drum of a
 * groove are none. Common practice, no source.
 * @example rock in 8ths // => the left hand's accents on 2 and 4 */
export function anchorsOf(ostinato: Pick<Ostinato, 'lanes'>): readonly Anchor[] {
  const { lanes } = ostinato;
  const isPoint =
    lanes.every(({ limb }) => !isHand(limb)) ||
    (lanes.length === 1 ? lanes.some(isClave) : isSticking(lanes));
  return lanes.flatMap(({ limb, voice, grid }, lane): Anchor[] => {
    if (isPoint) return [{ lane, kind: 'pattern', limb }];
    const isBackbeat = isHand(limb) && BACKBEATS.includes(voice) && grid.includes('X');
    return isBackbeat ? [{ lane, kind: 'backbeat', limb }] : [];
  });
}

/** Cymbals on which a hand keeps time. */
const TIMEKEEPERS: readonly VoiceId[] = ['hat', 'hat-half', 'hat-open', 'ride', 'ride-bell'];

/** Whether a lane alone is a rhythm of its own: its strokes lie at unequal distances, over the repeat. */
function isClave(lane: Lane): boolean {
  const read = laneSlots(lane, []);
  if (!read.ok || TIMEKEEPERS.includes(lane.voice)) return false;
  const { hits, lengthTicks } = read.value;
  const gaps = hits.map(({ at }, index) => {
    const next = hits[index + 1];
    return next ? next.at - at : lengthTicks - at + (hits[0]?.at ?? 0);
  });
  return gaps.some((gap) => gap !== gaps[0]);
}

/** Whether lanes share one unaccented sticking: each slot has exactly one of them. */
function isSticking(lanes: readonly Lane[]): boolean {
  const [first] = lanes;
  const grids = lanes.map(({ grid }) => grid);
  if (!first || lanes.some(({ slot }) => slot !== first.slot)) return false;
  if (grids.some((grid) => grid.length !== first.grid.length || /[^x-]/.test(grid))) return false;
  return [...first.grid].every((_, at) => grids.filter((grid) => grid[at] === 'x').length === 1);
}
