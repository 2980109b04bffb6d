import type { Limb, TextureId, VoiceId } from '../kit';
import type { SwingOf, Tick } from '../time';

export const DYNAMICS = ['ghost', 'tap', 'normal', 'accent'] as const;
export type Dynamic = (typeof DYNAMICS)[number];

export const ORNAMENTS = ['flam', 'drag', 'ruff', 'ruff4', 'diddle', 'roll', 'buzz'] as const;
export type Ornament = (typeof ORNAMENTS)[number];

/** Why a stroke is there. `over`: which ostinato lane. `line`: which onset of the reading line, or
 * which cell of a sticking.
 * `fill`: which place of which cell, `offset` ticks after the note that the cell belongs to. `added`: by which change, or by hand. */
export type Provenance =
  | { readonly source: 'over'; readonly ostinato: number; readonly slot: number }
  | { readonly source: 'line'; readonly onset: number; readonly cell?: string }
  | { readonly source: 'added'; readonly by: 'every-nth' | 'place' | 'thicken' | 'graces' | 'hand' }
  | {
      readonly source: 'fill';
      readonly onset: number;
      readonly cell: string;
      readonly index: number;
      readonly offset: Tick;
      /** It fills the gap after its note, and sounds only where that has sounded. */
      readonly gap?: true;
    };

/** One limb, one voice, one instant. `at` counts from the start of its layer. */
export interface Stroke {
  readonly at: Tick;
  readonly limb: Limb;
  readonly voice: VoiceId;
  readonly dynamic: Dynamic;
  readonly ornament?: Ornament | undefined;
  /** Milliseconds from one of its grace notes to the next, and to itself; as usual when left out. */
  readonly graceMs?: number | undefined;
  /** How it is made; the usual way when left out. */
  readonly texture?: TextureId | undefined;
  /** Length of the slot that it is written in; left out where it was put in by hand. */
  readonly slot?: Tick | undefined;
  readonly swings?: SwingOf | undefined;
  /** It ends a phrase that began before the loop: silent the first time round. */
  readonly tail?: true | undefined;
  readonly from: Provenance;
  /** What the recipe says, where footing, handedness or kit made something else of it. */
  readonly written?: { readonly limb: Limb; readonly voice: VoiceId } | undefined;
}

/** A stroke with all its fields, in one order: there are very many, and those of one shape are made and
 * copied fastest. */
export function makeStroke(of: Stroke): Stroke {
  return {
    at: of.at,
    limb: of.limb,
    voice: of.voice,
    dynamic: of.dynamic,
    ornament: of.ornament,
    graceMs: of.graceMs,
    texture: of.texture,
    slot: of.slot,
    swings: of.swings,
    tail: of.tail,
    from: of.from,
    written: of.written,
  };
}

/** The stroke in another place. */
export function strokeAt(stroke: Stroke, at: Tick): Stroke {
  return {
    at,
    limb: stroke.limb,
    voice: stroke.voice,
    dynamic: stroke.dynamic,
    ornament: stroke.ornament,
    graceMs: stroke.graceMs,
    texture: stroke.texture,
    slot: stroke.slot,
    swings: stroke.swings,
    tail: stroke.tail,
    from: stroke.from,
    written: stroke.written,
  };
}

/** The stroke as the end of a phrase that began before the loop, or not. */
export function asTail(stroke: Stroke, isTail: boolean): Stroke {
  if (isTail === (stroke.tail === true)) return stroke;
  return makeStroke({ ...stroke, tail: isTail ? true : undefined });
}

/** Whether a stroke fills a gap whose note lies before the start. @param at its place, >= 0 */
export function fillsFromBefore({ from }: Stroke, at: number): boolean {
  return from.source === 'fill' && from.gap === true && at < from.offset;
}

const LIMB_ORDER: Readonly<Record<Limb, number>> = { RH: 0, LH: 1, RF: 2, LF: 3 };

/** By time, then right hand, left hand, right foot, left foot. */
export function inTimeOrder(a: Stroke, b: Stroke): number {
  return a.at - b.at || LIMB_ORDER[a.limb] - LIMB_ORDER[b.limb];
}

export function louderOf(a: Stroke, b: Stroke): Stroke {
  return DYNAMICS.indexOf(b.dynamic) > DYNAMICS.indexOf(a.dynamic) ? b : a;
}
