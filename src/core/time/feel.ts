import { fail, ok, type Path, type Result } from '../issue';
import type { Feel } from './schema';
import type { SwingOf } from './subdivision';
import { unitTicks, type Meter } from './meter';
import { tick, TICKS_PER_QUARTER, type Tick } from './tick';

/** The note whose halves make the swung pair: the quarter where quarters or halves are counted, the
 * counted note itself in meters of 8ths and 16ths, where only 16ths can swing. */
export function pairedNote(meter: Meter): Tick {
  return meter.unit <= 4 ? TICKS_PER_QUARTER : unitTicks(meter);
}

/** Moves the off-beat of a swung pair. The rule, common practice, no source: an "&" of 8ths moves to
 * `long` of the beat; in a part of 16ths the "&" stays, and "e" and "a" move to `long` of their half
 * beat. All else stays: on a beat, in a written tuplet, in a finer even grid. So places stay distinct,
 * in order and inside their beat.
 * @param at ticks, >= 0  @param long share of the pair that its first note takes, between 0 and 1
 * @returns ticks, fractional unless the share falls on one */
function swing(at: number, long: number, meter: Meter, of: SwingOf | undefined): number {
  if (of === 'none') return at;
  const note = pairedNote(meter);
  const within = at % note;
  if (within === 0) return at;
  const half = note / 2;
  if (within === half) return of === '16' && meter.unit <= 4 ? at : at - half + note * long;
  if (meter.unit > 4 || within % half !== note / 4) return at;
  return at - note / 4 + half * long;
}

/** Where a notated place sounds, in (fractional) ticks; it differs where the feel swings at a ratio.
 * @example swungTicks(10080, { kind: 'swung', long: 2, short: 1 }, meter44) // => 13440
 * @example swungTicks(5040, { kind: 'swung', long: 2, short: 1 }, meter44, '16') // => 6720 */
export function swungTicks(at: number, feel: Feel, meter: Meter, of?: SwingOf): number {
  if (feel.kind !== 'swung') return at;
  return swing(at, feel.long / (feel.long + feel.short), meter, of);
}

/** Where a place is written under this feel: swung in triplets, an "&" becomes the last triplet of
 * its beat, in 16ths "e" and "a" the last triplet of their half beat.
 * @example writtenSwing(quarters(1, 2), { kind: 'triplets' }, meter44) // => quarters(2, 3) */
export function writtenSwing(at: Tick, feel: Feel, meter: Meter, of?: SwingOf): Tick {
  return feel.kind === 'triplets' ? tick(swing(at, 2 / 3, meter, of)) : at;
}

/** The reverse of `writtenSwing`: the place that was meant.
 * @example unwrittenSwing(quarters(2, 3), { kind: 'triplets' }, meter44) // => quarters(1, 2) */
export function unwrittenSwing(at: Tick, feel: Feel, meter: Meter, of?: SwingOf): Tick {
  if (feel.kind !== 'triplets' || of === 'none') return at;
  const note = pairedNote(meter);
  const within = at % note;
  const places = meter.unit > 4 ? [note / 2] : [note / 4, note / 2, (note * 3) / 4];
  const meant = places.find((place) => writtenSwing(tick(place), feel, meter, of) === within);
  return meant === undefined ? at : tick(at - within + meant);
}

/** Ratios that are named, long to short, from the most uneven. */
const NAMED_SWINGS = [
  [7, 2],
  [3, 1],
  [5, 2],
  [2, 1],
  [5, 3],
  [3, 2],
  [4, 3],
  [1, 1],
] as const;

/** The swing that players use at a tempo, by the nearest ratio that has a name: about 3.5 to 1 up to 100 quarters a minute,
 * evener in proportion up to even 8ths at 300 (Friberg & Sundström 2002, “Swing ratios and ensemble timing in jazz
 * performance”; its line read off by eye, from memory).
 * @param quartersAMinute > 0
 * @returns null where 8ths are even
 * @example usualSwing(200) // => 9 : 4 or so, 2 : 1 by name */
export function usualSwing(quartersAMinute: number): Extract<Feel, { kind: 'swung' }> | null {
  const share = Math.min(1, Math.max(0, (quartersAMinute - 100) / 200));
  const ratio = 3.5 - 2.5 * share;
  const off = ([long, short]: readonly [number, number]) => Math.abs(long / short - ratio);
  const [long, short] = NAMED_SWINGS.reduce((best, one) => (off(one) < off(best) ? one : best));
  return long === short ? null : { kind: 'swung', long, short };
}

/** Reads `straight`, `triplets`, or long : short as `2:1`, each part from 1 to 9.
 * @returns issue `feel` for anything else */
export function parseFeel(text: string, path: Path = ['feel']): Result<Feel> {
  if (text.trim().toLowerCase() === 'straight') return ok({ kind: 'straight' });
  if (/^(swung\s+in\s+)?triplets$/i.test(text.trim())) return ok({ kind: 'triplets' });
  const match = /^\s*(?:swung\s*(?:8ths\s*)?)?([1-9])\s*:\s*([1-9])\s*$/.exec(text);
  if (!match) return fail({ code: 'feel', path, text: text.trim() });
  return ok({ kind: 'swung', long: Number(match[1]), short: Number(match[2]) });
}

/** @example formatFeel({ kind: 'swung', long: 2, short: 1 }) // => 'swung 2:1' */
export function formatFeel(feel: Feel): string {
  switch (feel.kind) {
    case 'straight':
      return 'straight';
    case 'triplets':
      return 'swung in triplets';
    case 'swung':
      return `swung ${feel.long}:${feel.short}`;
  }
}
