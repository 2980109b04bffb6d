/** Capitals that are read at a glance, in minutes of arc (ISO 9241-303, 20 to 22; from memory). */
const ARC_MINUTES = 22;

/** Height of a capital against the size of the app's text face. */
const CAPITAL_OF_SIZE = 0.7;

const MM_OF_INCH = 25.4;

/** A screen, and how far away its reader sits. */
export interface Seat {
  /** Diagonal of the screen, in inches. */
  readonly inches: number;
  readonly metres: number;
}

/** A ten-inch tablet on a music stand. */
export const USUAL_SEAT: Seat = { inches: 10, metres: 1.5 };

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Pixels of a millimetre. @param screen in CSS pixels */
function pixelsOfMm({ inches }: Seat, { width, height }: Size): number {
  return Math.hypot(width, height) / (inches * MM_OF_INCH);
}

/** Height of capitals that can be read from a seat, in CSS pixels: distance · tan(22′).
 * @param screen the whole screen, in CSS pixels
 * @example a ten-inch screen of 1280x800 at 1.5 m // => 57 */
export function capitalPixels(seat: Seat, screen: Size): number {
  const mm = seat.metres * 1000 * Math.tan((ARC_MINUTES / 60 / 180) * Math.PI);
  return mm * pixelsOfMm(seat, screen);
}

/** The size of text whose capitals can be read from a seat, in CSS pixels, as far as the screen holds
 * it.
 * @returns the size, and the distance up to which it can be read, in metres */
export function readableSize(
  seat: Seat,
  screen: Size,
): { readonly size: number; readonly metres: number } {
  const wanted = capitalPixels(seat, screen) / CAPITAL_OF_SIZE;
  const size = Math.min(wanted, LARGEST * Math.min(screen.width, screen.height));
  return { size, metres: (seat.metres * size) / wanted };
}

/** Largest text that leaves room for the bar, in parts of the shorter side. */
const LARGEST = 0.2;
