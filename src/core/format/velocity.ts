import { DYNAMICS, type Dynamic } from '../pattern';

/** Velocities of the dynamics: ghost to accent is 18 dB, where loudness goes by the square of the velocity
 * (20 · log10((120/42)²) = 18.2). Common practice, no source. */
const VELOCITIES: Readonly<Record<Dynamic, number>> = {
  ghost: 42,
  tap: 60,
  normal: 85,
  accent: 120,
};

/** How hard a key is struck, 1 to 127. @param db louder or softer than the dynamic alone
 * @example velocityOf('accent', 0) // => 120 */
export function velocityOf(dynamic: Dynamic, db: number): number {
  const velocity = VELOCITIES[dynamic] * 10 ** (db / 40);
  return Math.max(1, Math.min(127, Math.round(velocity)));
}

/** The dynamic whose velocity is nearest; the softer one in the middle.
 * @example dynamicOf(50) // => 'ghost' */
export function dynamicOf(velocity: number): Dynamic {
  const off = (one: Dynamic) => Math.abs(VELOCITIES[one] - velocity);
  return DYNAMICS.reduce((best, one) => (off(one) < off(best) ? one : best), 'ghost');
}
