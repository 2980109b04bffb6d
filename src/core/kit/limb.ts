import { fail, ok, type Path, type Result } from '../issue';

/** Right hand, left hand, right foot, left foot. */
export const LIMBS = ['RH', 'LH', 'RF', 'LF'] as const;
export type Limb = (typeof LIMBS)[number];

export function isHand(limb: Limb): boolean {
  return limb === 'RH' || limb === 'LH';
}

const MIRROR: Readonly<Record<Limb, Limb>> = { RH: 'LH', LH: 'RH', RF: 'LF', LF: 'RF' };

/** The same limb of the other side. */
export function mirrorLimb(limb: Limb): Limb {
  return MIRROR[limb];
}

/** @returns issue `limb` for anything but RH, LH, RF, LF */
export function parseLimb(text: string, path: Path): Result<Limb> {
  const found = LIMBS.find((limb) => limb === text.trim().toUpperCase());
  return found ? ok(found) : fail({ code: 'limb', path, text });
}

/** Letters of a sticking: hands R L, right foot K, left foot F. */
export const STICKING_LETTERS = { R: 'RH', L: 'LH', K: 'RF', F: 'LF' } as const;
export type StickingLetter = keyof typeof STICKING_LETTERS;

export function letterOf(limb: Limb): StickingLetter {
  return limb === 'RH' ? 'R' : limb === 'LH' ? 'L' : limb === 'RF' ? 'K' : 'F';
}
