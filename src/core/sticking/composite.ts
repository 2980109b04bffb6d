import {
  barTicks,
  gcd,
  slotTicks,
  SUBDIVISION_IDS,
  tempoBeatTicks,
  type Meter,
  type SubdivisionId,
} from '../time';

/** A rhythm of two hands that is spoken as the typed letters. */
export interface CompositeReading {
  /** With a letter or a rest for every slot. */
  readonly sticking: string;
  readonly slot: SubdivisionId;
  /** Strokes of the right hand against those of the left. */
  readonly right: number;
  readonly left: number;
}

/** Grids on which two hands are looked for. */
const GRIDS = [4, 6, 8, 12] as const;

/** Most readings that are offered. */
const MOST = 5;

/** Rhythms of two hands that read as these letters: one hand plays evenly, the other evenly too, or
 * on every beat and between.
 * @param letters R, L and T for both together, beginning together
 * @returns the most even first, and those whose slower hand has the beats; each fills whole beats of at most a bar
 * @example compositeReadings('TLRL', meter44)[0] // => T-LRL- in 8th triplets: 2 against 3 */
export function compositeReadings(letters: string, meter: Meter): readonly CompositeReading[] {
  if (!/^T[RLT]+$/.test(letters)) return [];
  const found = new Map<string, { reading: CompositeReading; rank: number }>();
  for (const slots of GRIDS) {
    if (letters.length > slots) continue;
    for (const places of placesOn(letters, slots)) {
      const fit = fitOf(letters, places, slots);
      if (fit === null) continue;
      const sticking = write(letters, places, slots);
      for (const slot of slotsFor(slots, meter)) {
        const onBeats = (slots / fit.beats) * slotTicks(slot) === tempoBeatTicks(meter);
        const reading = { sticking, slot, ...handsOf(letters, places) };
        found.set(`${sticking} ${slot}`, { reading, rank: fit.rank + (onBeats ? 0 : 0.5) });
      }
    }
  }
  return [...found.values()]
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST)
    .map((one) => one.reading);
}

/** Ways to lay the letters on slots, in order, the first on the first. */
function placesOn(letters: string, slots: number): readonly (readonly number[])[] {
  let ways: number[][] = [[0]];
  for (let index = 1; index < letters.length; index += 1) {
    const left = letters.length - index;
    ways = ways.flatMap((way) => {
      const next = (way.at(-1) ?? 0) + 1;
      return Array.from({ length: slots - left - next + 1 }, (_, step) => [...way, next + step]);
    });
  }
  return ways;
}

function hand(letters: string, places: readonly number[], which: 'R' | 'L'): readonly number[] {
  return places.filter((_, index) => letters[index] === which || letters[index] === 'T');
}

function isEven(places: readonly number[], slots: number): boolean {
  const gap = slots / places.length;
  return places.every((place, index) => place === index * gap);
}

interface Fit {
  /** 0 where both hands are even, 1 where one is even and the other keeps the beat. */
  readonly rank: 0 | 1;
  /** Beats that the whole is heard as. */
  readonly beats: number;
}

/** How well the letters sit on these slots; null where neither hand gives a pulse, or a coarser
 * grid would do. */
function fitOf(letters: string, places: readonly number[], slots: number): Fit | null {
  const [right, left] = [hand(letters, places, 'R'), hand(letters, places, 'L')];
  if (places.reduce((sum, one) => gcd(sum, one), slots) > 1) return null;
  const even = [isEven(right, slots), isEven(left, slots)];
  if (even[0] && even[1]) return { rank: 0, beats: Math.min(right.length, left.length) };
  if (!even[0] && !even[1]) return null;
  const [steady, other] = even[0] ? [right, left] : [left, right];
  const beats = [2, 3, 4].find(
    (count) => slots % count === 0 && count !== steady.length && keeps(other, slots, count),
  );
  return beats === undefined || steady.length < 2 ? null : { rank: 1, beats };
}

function keeps(places: readonly number[], slots: number, beats: number): boolean {
  return Array.from({ length: beats }, (_, beat) => (beat * slots) / beats).every((place) =>
    places.includes(place),
  );
}

function write(letters: string, places: readonly number[], slots: number): string {
  const text = Array.from({ length: slots }, () => '-');
  places.forEach((place, index) => (text[place] = letters[index] ?? '-'));
  return text.join('');
}

/** Slots that make the whole so many beats, of at most a bar. */
function slotsFor(slots: number, meter: Meter): readonly SubdivisionId[] {
  const beat = tempoBeatTicks(meter);
  return SUBDIVISION_IDS.filter((id) => {
    const length = slots * slotTicks(id);
    return length % beat === 0 && length <= barTicks(meter) && slotTicks(id) >= slotTicks('16t');
  });
}

function handsOf(letters: string, places: readonly number[]) {
  return { right: hand(letters, places, 'R').length, left: hand(letters, places, 'L').length };
}
