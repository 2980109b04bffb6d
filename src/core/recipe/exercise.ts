import type { Reading } from '../interpret';
import type { KitProfile, Limb } from '../kit';
import type { Layer, Stroke } from '../pattern';
import type { ReadingLine } from '../reading';
import type { Feel, Meter, Tick } from '../time';

/** What a recipe plays. Everything else (readback, notation, sound, files) is computed from it. */
export interface Exercise {
  readonly meter: Meter;
  readonly feel: Feel;
  readonly barTicks: Tick;
  /** Bars until all parts realign. */
  readonly bars: number;
  readonly cycleTicks: Tick;
  /** Looped to the cycle, in the order of the sentence. */
  readonly layers: readonly Layer[];
  /** All layers' strokes by time. */
  readonly strokes: readonly Stroke[];
  readonly line: ReadingLine | null;
  /** How the line's strokes are read back. */
  readonly reads: Reading;
  /** Limbs that ostinato and interpretation both wanted; the recipe's policy settled them. */
  readonly shared: readonly Limb[];
  readonly kit: KitProfile;
}
