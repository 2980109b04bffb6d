import { isHand, mirrorLimb, type Limb } from '../kit';
import { quarters } from '../time';
import type { Ornament, Stroke } from './stroke';

/** One movement of a limb inside a written stroke. */
export interface FigureStroke {
  readonly kind: 'grace' | 'main' | 'next';
  readonly limb: Limb;
  /** Ticks after the written place, as a share of its slot: 0 up to, not including, 1. */
  readonly share: number;
  /** Milliseconds after the written place; grace notes lie before it. */
  readonly ms: number;
}

/** Hands of the grace notes, the one next to the main note first: true is the main note's own hand. A
 * drag is two of the other hand, a ruff of three or four notes alternates; common practice, no source. */
const GRACES: Readonly<Partial<Record<Ornament, readonly boolean[]>>> = {
  flam: [false],
  drag: [false, false],
  ruff: [false, true],
  ruff4: [false, true, false],
};

/** Grace notes lie so far before each other and their main note; common practice, no source. */
export const GRACE_APART_MS = 30;

/** The limbs of a stroke's grace notes, the one next to it first. A foot has no other hand: its grace
 * notes are its own. */
export function gracesOf({ ornament, limb }: Pick<Stroke, 'ornament' | 'limb'>): readonly Limb[] {
  const hands = (ornament && GRACES[ornament]) ?? [];
  return hands.map((own) => (own || !isHand(limb) ? limb : mirrorLimb(limb)));
}

/** Slots of strokes that were put in by hand. */
const USUAL_SLOT = quarters(1, 4);

/** The slowest notes that make a roll: sextuplets where triplets are written, 32nds elsewhere. */
const SLOWEST_OF_A_ROLL = quarters(1, 6);

/** What limbs do in one written stroke, its own movement among them, in order of time. A diddle is two of
 * one hand in its slot; a roll is double strokes, hands in turn, in 32nds (in triplets sextuplets) until
 * its slot ends; a buzz is one movement, whose bounces are no strokes. Common practice, no source.
 * @example a diddled 8th // => two strokes a 16th apart */
export function figureOf(stroke: Stroke): readonly FigureStroke[] {
  const { ornament, limb } = stroke;
  const graces = gracesOf(stroke).map((hand, index): FigureStroke => {
    const ms = -(stroke.graceMs ?? GRACE_APART_MS) * (index + 1);
    return { kind: 'grace', limb: hand, share: 0, ms };
  });
  const main: FigureStroke = { kind: 'main', limb, share: 0, ms: 0 };
  if (ornament === 'diddle') return [main, { ...main, kind: 'next', share: 1 / 2 }];
  if (ornament !== 'roll') return [...graces.reverse(), main];
  let parts = 2;
  while ((stroke.slot ?? USUAL_SLOT) / parts > SLOWEST_OF_A_ROLL) parts *= 2;
  return Array.from({ length: parts }, (_, index): FigureStroke => {
    const turns = Math.floor(index / 2) % 2 === 1 && isHand(limb);
    const kind = index === 0 ? 'main' : 'next';
    return { kind, limb: turns ? mirrorLimb(limb) : limb, share: index / parts, ms: 0 };
  });
}
