import type { VoiceId } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Tick } from '@/core/time';
import type { Row } from './rows';

/** A place on the lanes: a row, and ticks from the cycle's start. */
export interface Cell {
  readonly row: Row['key'];
  readonly at: number;
}

/** Lanes that are written on. */
export interface Editing {
  /** A grid that has columns in any case. */
  readonly slot: Tick;
  /** Rows that are there although nothing sounds on them. */
  readonly extraRows: readonly VoiceId[];
  readonly cursor: Cell | null;
  /** Names of chosen strokes; see `strokeKey`. */
  readonly chosen: ReadonlySet<string>;
  /** A press on a cell, and where it was let go. */
  readonly onDrag: (from: Cell, to: Cell, keys: { shift: boolean; mod: boolean }) => void;
}

export function strokeKey({ at, limb, voice: id }: Stroke): string {
  return `${at} ${limb} ${id}`;
}
