import type { Limb } from '../kit';
import type { Ornament } from '../pattern';
import type { LineReading } from './line-load';

/** What a part counts, with the numbers that it comes from. */
export type DifficultyFacts =
  | { readonly part: 'limbs'; readonly limbs: readonly Limb[] }
  | {
      readonly part: 'combinations' | 'changes' | 'takeovers' | 'feet-in-a-row';
      readonly number: number;
    }
  | { readonly part: 'notes-a-beat'; readonly instants: number; readonly beats: number }
  | ({ readonly part: 'reading' } & LineReading)
  | { readonly part: 'off-the-beat'; readonly shares: readonly OffBeatShare[] }
  | { readonly part: 'over-the-beat'; readonly notes: number; readonly bars: number }
  | { readonly part: 'grids'; readonly kinds: number }
  | { readonly part: 'speed'; readonly limbs: readonly LimbSpeed[] }
  | { readonly part: 'nearest'; readonly limb: Limb; readonly ms: number; readonly easyMs: number }
  | { readonly part: 'travel'; readonly ways: number; readonly ms: number; readonly easyMs: number }
  | { readonly part: 'foot-to-foot'; readonly from: readonly Limb[] }
  | { readonly part: 'spacing'; readonly limbs: readonly LimbSpacing[] }
  | { readonly part: 'doubles'; readonly early: number; readonly all: number }
  | {
      readonly part: 'dynamics';
      readonly limbs: readonly LimbDynamics[];
      /** Limbs that accent every stroke. */
      readonly loud: readonly Limb[];
    }
  | { readonly part: 'textures'; readonly limbs: readonly LimbSpacing[] }
  | { readonly part: 'ornamented'; readonly number: number }
  | { readonly part: 'round'; readonly beats: number }
  | { readonly part: 'meter'; readonly beats: number }
  | { readonly part: 'weaker-side'; readonly limbs: readonly LimbSpeed[] }
  | { readonly part: 'ornaments'; readonly ornaments: readonly Ornament[] };

/** Where the strokes of a limb lie, of `all`: on a half of the counted note, between halves. */
export interface OffBeatShare {
  readonly limb: Limb;
  readonly halves: number;
  readonly between: number;
  readonly all: number;
}

/** How many different distances lie between the strokes of a limb, over the seam too, or ways to strike. */
interface LimbSpacing {
  readonly limb: Limb;
  readonly kinds: number;
}

/** The loud strokes of a limb that plays soft ones, too: where they lie, and how many different distances lie
 * between them. */
export interface LimbDynamics extends OffBeatShare {
  readonly kinds: number;
}

/** Strokes a second of a limb, and how many are easy. */
export interface LimbSpeed {
  readonly limb: Limb;
  readonly rate: number;
  readonly easy: number;
}

/** One part of what makes an exercise hard: `points` is `count` × `weight`, and the parts add up. All
 * three are rounded to hundredths, so that a sum by hand comes out the same. */
export interface DifficultyPart {
  readonly facts: DifficultyFacts;
  readonly count: number;
  readonly weight: number;
  readonly points: number;
}
