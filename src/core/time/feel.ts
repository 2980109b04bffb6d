import { fail, ok, type Path, type Result } from '../issue';
import { TICKS_PER_QUARTER } from './tick';

/** Straight, or 8ths swung at long : short. Patterns keep their notated ticks; the ratio is
 * heard in sound and in MIDI only. */
export type Feel =
  | { readonly kind: 'straight' }
  | { readonly kind: 'swung'; readonly long: number; readonly short: number };

/** The finest binary place that a swing bends: a 256th. Triplet places are none of these,
 * so notated triplets stay where they are. */
const BINARY_PLACE = TICKS_PER_QUARTER / 64;

/** Where a notated place sounds, in (fractional) ticks.
 * Binary places bend so that the "&" falls at long / (long + short) of the quarter; what is
 * notated in triplets, fives or sevens is left alone.
 * @example swungTicks(10080, { kind: 'swung', long: 2, short: 1 }) // => 13440 */
export function swungTicks(at: number, feel: Feel): number {
  if (feel.kind === 'straight') return at;
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

/** Reads `straight`, or long : short as `2:1`, each part from 1 to 9.
 * @returns issue `feel` for anything else */
export function parseFeel(text: string, path: Path = ['feel']): Result<Feel> {
  if (text.trim().toLowerCase() === 'straight') return ok({ kind: 'straight' });
  const match = /^\s*(?:swung\s*(?:8ths\s*)?)?([1-9])\s*:\s*([1-9])\s*$/.exec(text);
  if (!match) return fail({ code: 'feel', path, text: text.trim() });
  return ok({ kind: 'swung', long: Number(match[1]), short: Number(match[2]) });
}

/** @example formatFeel({ kind: 'swung', long: 2, short: 1 }) // => 'swung 8ths 2:1' */
export function formatFeel(feel: Feel): string {
  return feel.kind === 'straight' ? 'straight' : `swung 8ths ${feel.long}:${feel.short}`;
}
