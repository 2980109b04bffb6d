import type { Reading } from '../interpret';
import type { KitProfile, Limb, Replaced, Style } from '../kit';
import type { Layer, Stroke } from '../pattern';
import { quarters, swungTicks, tick, type Feel, type Meter, type Tick } from '../time';
import type { GaveWay, LostAnchor } from './gave-way';
import type { ClosedMember } from './schema';

/** What a recipe plays. Everything else (readback, notation, sound, files) is computed from it. */
export interface Exercise {
  readonly meter: Meter;
  readonly feel: Feel;
  readonly barTicks: Tick;
  /** Bars until all parts realign. */
  readonly bars: number;
  readonly cycleTicks: Tick;
  /** Bars of the whole cycle, where the recipe cuts it; null where it does not. */
  readonly cutFrom: number | null;
  /** Looped to the cycle, in the order of the sentence. */
  readonly layers: readonly Layer[];
  /** All layers' strokes by time. */
  readonly strokes: readonly Stroke[];
  /** How the line's strokes are read back. */
  readonly reads: Reading;
  /** Limbs that ostinato and interpretation both wanted; the recipe's policy settled them. */
  readonly shared: readonly Limb[];
  readonly kit: KitProfile;
  /** Voices that the kit lacks, and what is played instead. */
  readonly replaced: readonly Replaced[];
  /** How loud the voices are against each other; null leaves it to the dynamics. */
  readonly levels: Style | null;
  /** Hindrances that the teacher keeps, with the reason. */
  readonly kept: NonNullable<ClosedMember['kept']>;
  /** Strokes that gave way to others: grace notes that were opened, or what was laid over their surface. */
  readonly gaveWay: readonly GaveWay[];
  /** Places of notes whose opened grace notes lie closer than was asked: there is no room. */
  readonly crowdedGraces: readonly Tick[];
  /** Strokes of a backbeat, a clave or a foot pattern that the phrase has taken the limb of, though nobody said so. */
  readonly lostAnchors: readonly LostAnchor[];
  /** Hand edits whose stroke is not there any more. */
  readonly stale: number;
  /** The parts of a sequence in order; empty for a single exercise. */
  readonly members: readonly Member[];
}

/** One part of a sequence. */
export interface Member {
  /** Empty for a first one that was not named. */
  readonly name: string;
  readonly fromBar: number;
  readonly bars: number;
  /** Length of its own cycle. */
  readonly cycleBars: number;
  /** Played without a click. */
  readonly untimed: boolean;
}

/** Where a stroke sounds in the cycle, in (fractional) ticks: its written place, but for a swing that is
 * heard only. */
export function soundsAt(
  { at, swings }: Pick<Stroke, 'at' | 'swings'>,
  { feel, meter }: Pick<Exercise, 'feel' | 'meter'>,
): number {
  return swungTicks(at, feel, meter, swings);
}

/** How long the slot of a stroke sounds, in (fractional) ticks; of one put in by hand a 16th. */
export function soundingLength(
  stroke: Pick<Stroke, 'at' | 'swings' | 'slot'>,
  exercise: Pick<Exercise, 'feel' | 'meter'>,
): number {
  const end = { ...stroke, at: tick(stroke.at + (stroke.slot ?? quarters(1, 4))) };
  return soundsAt(end, exercise) - soundsAt(stroke, exercise);
}
