import { isHand } from '../kit';
import type { Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import { beats, gcd, quarters, tick, TICKS_PER_QUARTER, type Tick } from '../time';

/** A sign on the staff: a chord of strokes, or a rest when there are none. */
export interface WrittenSign {
  /** From the start of the bar. */
  readonly at: Tick;
  readonly ticks: Tick;
  /** 2 half, 4 quarter, 8, 16, 32, 64. */
  readonly base: number;
  readonly dots: 0 | 1;
  readonly strokes: readonly Stroke[];
  /** Felt beat from 0; signs of one beat share a beam. */
  readonly beat: number;
  readonly tuplet: { readonly played: number; readonly inTimeOf: number } | null;
}

/** One bar in two voices: hands with stems up, feet with stems down. A voice that rests all bar
 * is empty. */
export interface WrittenBar {
  readonly hands: readonly WrittenSign[];
  readonly feet: readonly WrittenSign[];
}

/** Writes an exercise down in standard percussion notation, beat by beat: a note lasts until the
 * next one of its voice or until the beat ends, so that every beat is seen. */
export function notate(exercise: Exercise): readonly WrittenBar[] {
  return Array.from({ length: exercise.bars }, (_, bar) => {
    const from = bar * exercise.barTicks;
    const inBar = exercise.strokes.filter((s) => s.at >= from && s.at < from + exercise.barTicks);
    const voice = (hands: boolean) =>
      writeVoice(
        inBar.filter((stroke) => isHand(stroke.limb) === hands),
        from,
        exercise,
      );
    return { hands: voice(true), feet: voice(false) };
  });
}

function writeVoice(strokes: readonly Stroke[], from: number, exercise: Exercise): WrittenSign[] {
  if (strokes.length === 0) return [];
  return beats(exercise.meter).flatMap((beat, index) => {
    const start = from + beat.at;
    const chords = new Map<number, Stroke[]>();
    for (const stroke of strokes) {
      const place = stroke.at - start;
      if (place < 0 || place >= beat.ticks) continue;
      chords.set(place, [...(chords.get(place) ?? []), stroke]);
    }
    return writeBeat(chords, beat.at, beat.ticks, index);
  });
}

/** Equal parts into which a beat is written, in the order in which they are tried. */
const SIMPLE_PARTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 12, 16, 24] as const;
const COMPOUND_PARTS = [3, 6, 12, 24, 2, 4, 5, 7, 8, 9] as const;

interface Grid {
  readonly parts: number;
  /** Length of a slot as written, a binary fraction of a whole note. */
  readonly written: number;
  readonly tuplet: WrittenSign['tuplet'];
}

function writeBeat(
  chords: ReadonlyMap<number, readonly Stroke[]>,
  at: Tick,
  ticks: Tick,
  beat: number,
): WrittenSign[] {
  const grid = gridFor([...chords.keys()], ticks);
  const slot = ticks / grid.parts;
  const starts = [...new Set([0, ...chords.keys()])].sort((a, b) => a - b);
  return starts.flatMap((place, index): WrittenSign[] => {
    let left = ((starts[index + 1] ?? ticks) - place) / slot;
    let here = place;
    let strokes = chords.get(place) ?? [];
    const signs: WrittenSign[] = [];
    while (left > 0) {
      const value = longestValue(left, grid.written);
      const length = value.slots * slot;
      signs.push({
        at: tick(at + here),
        ticks: tick(length),
        base: value.base,
        dots: value.dots,
        strokes,
        beat,
        tuplet: grid.tuplet,
      });
      here += length;
      left -= value.slots;
      strokes = [];
    }
    return signs;
  });
}

function gridFor(places: readonly number[], ticks: number): Grid {
  const compound = ticks === quarters(3, 2);
  const parts =
    (compound ? COMPOUND_PARTS : SIMPLE_PARTS).find(
      (n) => ticks % n === 0 && places.every((place) => place % (ticks / n) === 0),
    ) ?? ticks / places.reduce((grid, place) => gcd(grid, place), ticks);
  const slot = ticks / parts;
  if (isBinary(slot)) return { parts, written: slot, tuplet: null };
  let inTimeOf = compound ? 3 : ticks / TICKS_PER_QUARTER;
  while (inTimeOf * 2 <= parts) inTimeOf *= 2;
  return { parts, written: ticks / inTimeOf, tuplet: { played: parts, inTimeOf } };
}

/** A whole note or a half, quarter, 8th … of it, down to a 64th. */
function isBinary(ticks: number): boolean {
  return [1, 2, 4, 8, 16, 32, 64].some((base) => quarters(4, base) === ticks);
}

/** The longest single value, plain or dotted, that fits into so many slots.
 * @param written length of a slot as written, binary */
function longestValue(
  slots: number,
  written: number,
): { slots: number; base: number; dots: 0 | 1 } {
  const base = (count: number) => quarters(4) / (count * written);
  for (let count = slots; count > 1; count -= 1) {
    if (Number.isInteger(Math.log2(count))) return { slots: count, base: base(count), dots: 0 };
    if (count % 3 === 0 && Number.isInteger(Math.log2(count / 3))) {
      return { slots: count, base: base((count * 2) / 3), dots: 1 };
    }
  }
  return { slots: 1, base: base(1), dots: 0 };
}
