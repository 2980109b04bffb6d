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
  /** `at`: where the tuplet begins, from the start of the bar. */
  readonly tuplet: {
    readonly at: Tick;
    readonly played: number;
    readonly inTimeOf: number;
  } | null;
}

/** One bar in two voices: hands with stems up, feet with stems down. A voice that rests all bar
 * is empty. */
export interface WrittenBar {
  readonly hands: readonly WrittenSign[];
  readonly feet: readonly WrittenSign[];
}

/** Writes an exercise down in standard percussion notation, beat by beat: a note lasts until the
 * next one of its voice or until the beat ends, so that every beat is seen. Two beats of rest are one where they are
 * half of a bar of four. */
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
  const signs = beats(exercise.meter).flatMap((beat, index) => {
    const start = from + beat.at;
    const chords = new Map<number, Stroke[]>();
    for (const stroke of strokes) {
      const place = stroke.at - start;
      if (place < 0 || place >= beat.ticks) continue;
      chords.set(place, [...(chords.get(place) ?? []), stroke]);
    }
    return writeBeat(chords, beat.at, beat.ticks, index);
  });
  return withHalfRests(signs, exercise);
}

/** In a bar of four, rests of two beats that are its first or its second half. */
function withHalfRests(signs: readonly WrittenSign[], { meter }: Exercise): WrittenSign[] {
  if (meter.count !== 4 || meter.unit !== 4) return [...signs];
  const isRest = (sign: WrittenSign | undefined) =>
    sign !== undefined && sign.strokes.length === 0 && sign.ticks === TICKS_PER_QUARTER;
  return signs.flatMap((sign, index): WrittenSign[] => {
    const before = signs[index - 1];
    if (sign.beat % 2 === 1 && isRest(sign) && isRest(before)) return [];
    if (sign.beat % 2 === 1 || !isRest(sign) || !isRest(signs[index + 1])) return [sign];
    return [{ ...sign, ticks: quarters(2), base: 2 }];
  });
}

/** Equal parts into which a beat is written, in the order in which they are tried. */
const SIMPLE_PARTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 12, 16, 24] as const;
const COMPOUND_PARTS = [3, 6, 12, 24, 2, 4, 5, 7, 8, 9] as const;

interface Grid {
  readonly parts: number;
  /** Length of a slot as written, a binary fraction of a whole note. */
  readonly written: number;
  readonly tuplet: { readonly played: number; readonly inTimeOf: number } | null;
}

/** A beat on one grid; in halves where a note begins the second, and one of them alone needs a tuplet. */
function writeBeat(
  chords: ReadonlyMap<number, readonly Stroke[]>,
  at: Tick,
  ticks: Tick,
  beat: number,
): WrittenSign[] {
  const half = ticks / 2;
  if (gridFor([...chords.keys()], ticks).tuplet && chords.has(half) && !isCompound(ticks)) {
    const second = [...chords].filter(([place]) => place >= half);
    const halves = [
      new Map([...chords].filter(([place]) => place < half)),
      new Map(second.map(([place, strokes]) => [place - half, strokes])),
    ];
    if (halves.some((one) => gridFor([...one.keys()], half).tuplet === null)) {
      return halves.flatMap((one, index) => writeSpan(one, at + index * half, half, beat));
    }
  }
  return writeSpan(chords, at, ticks, beat);
}

/** A beat, or the half of one, on one grid. */
function writeSpan(
  chords: ReadonlyMap<number, readonly Stroke[]>,
  at: number,
  ticks: number,
  beat: number,
): WrittenSign[] {
  const grid = gridFor([...chords.keys()], ticks);
  if (grid.written < SHORTEST) return writeSpan(nearest(chords, ticks), at, ticks, beat);
  const slot = ticks / grid.parts;
  const starts = [...new Set([0, ...chords.keys()])].sort((a, b) => a - b);
  const tuplet = grid.tuplet && { at: tick(at), ...grid.tuplet };
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
        tuplet,
      });
      here += length;
      left -= value.slots;
      strokes = [];
    }
    return signs;
  });
}

/** No value is shorter: a 64th. */
const SHORTEST = quarters(1, 16);

/** Where no value is short enough to say when strokes come (quintuplets and triplets across each other), they are
 * written on the nearest 64th, each on one of its own. */
function nearest(
  chords: ReadonlyMap<number, readonly Stroke[]>,
  ticks: number,
): ReadonlyMap<number, readonly Stroke[]> {
  const found = new Map<number, readonly Stroke[]>();
  let free = 0;
  for (const [place, strokes] of [...chords].sort(([a], [b]) => a - b)) {
    const last = Math.max(free, ticks / SHORTEST - 1);
    const slot = Math.min(last, Math.max(free, Math.round(place / SHORTEST)));
    found.set(slot * SHORTEST, strokes);
    free = slot + 1;
  }
  return found;
}

function isCompound(ticks: number): boolean {
  return ticks === quarters(3, 2);
}

function gridFor(places: readonly number[], ticks: number): Grid {
  const compound = isCompound(ticks);
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
