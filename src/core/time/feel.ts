import { fail, ok, type Path, type Result } from '../issue';
import { tick, TICKS_PER_QUARTER, type Tick } from './tick';

/** Straight; 8ths swung at long : short, heard in sound and in MIDI only while patterns keep their
 * notated ticks; or swung and written in triplets, so that every "&" lies on the last triplet. */
export type Feel =
  | { readonly kind: 'straight' }
  | { readonly kind: 'triplets' }
  | { readonly kind: 'swung'; readonly long: number; readonly short: number };

/** The finest binary place that a swing bends: a 256th. Triplet places are none of these,
 * so notated triplets stay where they are. */
const BINARY_PLACE = TICKS_PER_QUARTER / 64;

/** Where a notated place sounds, in (fractional) ticks.
 * Binary places bend so that the "&" falls at long / (long + short) of the quarter; what is
 * notated in triplets, fives or sevens is left alone.
 * @example swungTicks(10080, { kind: 'swung', long: 2, short: 1 }) // => 13440 */
export function swungTicks(at: number, feel: Feel): number {
  if (feel.kind !== 'swung') return at;
  const within = at % TICKS_PER_QUARTER;
  if (within === 0 || within % BINARY_PLACE !== 0) return at;
  const half = TICKS_PER_QUARTER / 2;
  const middle = (TICKS_PER_QUARTER * feel.long) / (feel.long + feel.short);
  const bent =
    within <= half
      ? (within / half) * middle
      : middle + ((within - half) / half) * (TICKS_PER_QUARTER - middle);
  return at - within + bent;
}

/** Where a notated place is written under this feel: swung in triplets, an "&" becomes the last
 * triplet of its beat; everything else stays.
 * @example writtenSwing(quarters(1, 2), { kind: 'triplets' }) // => quarters(2, 3) */
export function writtenSwing(at: Tick, feel: Feel): Tick {
  const within = at % TICKS_PER_QUARTER;
  if (feel.kind !== 'triplets' || within !== TICKS_PER_QUARTER / 2) return at;
  return tick(at - within + (TICKS_PER_QUARTER * 2) / 3);
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

/** @example formatFeel({ kind: 'swung', long: 2, short: 1 }) // => 'swung 8ths 2:1' */
export function formatFeel(feel: Feel): string {
  switch (feel.kind) {
    case 'straight':
      return 'straight';
    case 'triplets':
      return 'swung in triplets';
    case 'swung':
      return `swung 8ths ${feel.long}:${feel.short}`;
  }
}
