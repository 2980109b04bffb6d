import { barTicks, tick, type Meter, type Tick } from '../time';
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
}

export function lineTicks(line: ReadingLine): Tick {
  return tick(barTicks(line.meter) * line.bars.length);
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
  const found: { at: Tick; index: number; sounds: Tick; reads: Tick }[] = [];
  let held = false;
  for (const sign of line.bars.flat()) {
    const sounds = soundingTicks(sign.value);
    const reads = writtenTicks(sign.value);
    const last = found.at(-1);
    if (sign.kind === 'note' && held && last) {
      last.sounds = tick(last.sounds + sounds);
      last.reads = tick(last.reads + reads);
    } else if (sign.kind === 'note') {
      found.push({ at: sign.at, index: found.length, sounds, reads });
    }
    held = sign.kind === 'note' && sign.tied;
  }
  return found;
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
