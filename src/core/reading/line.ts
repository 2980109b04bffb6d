import {
  quarters,
  slotTicks,
  swingOfSlot,
  tick,
  TICKS_PER_QUARTER,
  type Meter,
  type SwingOf,
  type Tick,
} from '../time';
import { soundingTicks, writtenTicks, type NoteValue } from './value';

/** One written sign of a line: a note or a rest, perhaps tied to the next note. */
export interface LineSign {
  readonly kind: 'note' | 'rest';
  readonly value: NoteValue;
  readonly tied: boolean;
  /** From the start of the line. */
  readonly at: Tick;
}

/** A bar or page of written rhythm, no voices. `bars[i]` holds the signs of bar i. */
export interface ReadingLine {
  readonly meter: Meter;
  readonly bars: readonly (readonly LineSign[])[];
}

/** An attack of the line: ties joined, rests left out. */
export interface Onset {
  readonly at: Tick;
  /** Place among the attacks, from 0. */
  readonly index: number;
  /** Sounding length: ties count, rests do not. */
  readonly sounds: Tick;
  /** The length that tells short from long: as `sounds`, but inside tuplets as written. */
  readonly reads: Tick;
  /** Length of the slot that it lies on: of its tuplet, else the coarsest 8ths, 16ths or 32nds that hold
   * all of the line that is in no tuplet. */
  readonly slot: Tick;
  /** What a swing does to it, by all that its beat holds. */
  readonly swings: SwingOf | undefined;
}

/** A line goes round at its own length, which may be no whole bars. */
export function lineTicks(line: ReadingLine): Tick {
  const last = line.bars.findLast((signs) => signs.length > 0)?.at(-1);
  return tick(last ? last.at + soundingTicks(last.value) : 0);
}

/** Attacks in order. A tie out of the last note reaches no further than the line's end. */
export function onsets(line: ReadingLine): readonly Onset[] {
  let found = ONSETS.get(line);
  if (!found) {
    found = onsetsOf(line);
    ONSETS.set(line, found);
  }
  return found;
}

const ONSETS = new WeakMap<ReadingLine, readonly Onset[]>();

function onsetsOf(line: ReadingLine): readonly Onset[] {
  const grid = gridOfLine(line);
  const tuplets = tupletSlots(line);
  const beats = swingOfBeats(line, grid);
  const found: { -readonly [Key in keyof Onset]: Onset[Key] }[] = [];
  let held = false;
  for (const sign of line.bars.flat()) {
    const sounds = soundingTicks(sign.value);
    const reads = writtenTicks(sign.value);
    const last = found.at(-1);
    if (sign.kind === 'note' && held && last) {
      last.sounds = tick(last.sounds + sounds);
      last.reads = tick(last.reads + reads);
    } else if (sign.kind === 'note') {
      const { tuplet } = sign.value;
      const slot = (tuplet && tuplets.get(tuplet.id)) ?? grid;
      const swings = tuplet ? 'none' : beats.get(Math.floor(sign.at / TICKS_PER_QUARTER));
      found.push({ at: sign.at, index: found.length, sounds, reads, slot, swings });
    }
    held = sign.kind === 'note' && sign.tied;
  }
  return found;
}

/** Slots of each tuplet by its id: its whole length in as many parts as it has notes. */
function tupletSlots(line: ReadingLine): ReadonlyMap<number, Tick> {
  const lengths = new Map<number, number>();
  for (const { value } of line.bars.flat()) {
    if (!value.tuplet) continue;
    const { id, played } = value.tuplet;
    lengths.set(id, (lengths.get(id) ?? 0) + soundingTicks(value) / played);
  }
  return new Map([...lengths].map(([id, length]) => [id, tick(Math.round(length))]));
}

/** Places of a line where something begins that is in no tuplet. */
function plainPlaces(line: ReadingLine): readonly number[] {
  return line.bars.flat().flatMap(({ at, value }) => (value.tuplet ? [] : [at as number]));
}

function gridOfLine(line: ReadingLine): Tick {
  const places = plainPlaces(line);
  const fits = (slot: number) => places.every((at) => at % slot === 0);
  return (['8', '16'] as const).map(slotTicks).find(fits) ?? slotTicks('32');
}

/** What swings in each quarter of a line, counted from 0, by the finest place that it holds. A line that
 * is no whole quarters lies otherwise each time round: it swings in its own finest all through. */
function swingOfBeats(line: ReadingLine, grid: Tick): ReadonlyMap<number, SwingOf | undefined> {
  if (lineTicks(line) % TICKS_PER_QUARTER !== 0) {
    const beats = Math.ceil(lineTicks(line) / TICKS_PER_QUARTER);
    return new Map(Array.from({ length: beats }, (_, beat) => [beat, swingOfSlot(grid)]));
  }
  const finest = new Map<number, number>();
  for (const at of plainPlaces(line)) {
    const within = at % TICKS_PER_QUARTER;
    const slot = [quarters(1, 2), quarters(1, 4)].find((one) => within % one === 0) ?? 1;
    const beat = (at - within) / TICKS_PER_QUARTER;
    finest.set(beat, Math.min(slot, finest.get(beat) ?? slot));
  }
  return new Map([...finest].map(([beat, slot]) => [beat, swingOfSlot(slot)]));
}

/** Ticks from each onset to the next, the last across the loop seam to the first.
 * Dots, ties, rests and bar lines all count alike. They add up to the line's length. */
export function gapsAround(found: readonly Onset[], lengthTicks: Tick): readonly Tick[] {
  const first = found[0];
  return found.map((onset, index) => {
    const next = found[index + 1];
    return tick(next ? next.at - onset.at : lengthTicks - onset.at + (first?.at ?? 0));
  });
}
