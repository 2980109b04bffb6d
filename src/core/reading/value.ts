import { quarters, tick, type Tick } from '../time';

/** A written note value: base 1 (whole) to 32, up to two dots, perhaps in a tuplet. */
export interface NoteValue {
  readonly base: 1 | 2 | 4 | 8 | 16 | 32;
  readonly dots: 0 | 1 | 2;
  readonly tuplet: Tuplet | null;
}

/** `played` notes in the time of `inTimeOf`. `id` tells neighbouring tuplets apart. */
export interface Tuplet {
  readonly played: number;
  readonly inTimeOf: number;
  readonly id: number;
}

/** Length as written, the tuplet left out. @example writtenTicks of 4. // => 30240 */
export function writtenTicks(value: Pick<NoteValue, 'base' | 'dots'>): Tick {
  const plain = quarters(4, value.base);
  return tick(value.dots === 0 ? plain : value.dots === 1 ? (plain * 3) / 2 : (plain * 7) / 4);
}

/** Length as it sounds, the tuplet counted in. */
export function soundingTicks(value: NoteValue): Tick {
  const written = writtenTicks(value);
  if (!value.tuplet) return written;
  return tick((written * value.tuplet.inTimeOf) / value.tuplet.played);
}

/** How many plain notes a tuplet replaces: the next lower power of two (3 in 2, 5 in 4, 6 in 4,
 * 7 in 4), in compound time 2 and 4 in 3. Common practice, no source. */
export function tupletTime(played: number): number | null {
  const usual: Readonly<Record<number, number>> = { 2: 3, 3: 2, 4: 3, 5: 4, 6: 4, 7: 4, 9: 8 };
  return usual[played] ?? null;
}
