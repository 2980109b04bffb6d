import { fail, ok, type Path, type Result } from '../issue';
import { TICKS_PER_QUARTER, tick, type Tick } from './tick';

/** A time signature with the grouping that drives beams, click and count.
 * `grouping` is in units and adds up to `count`; 4/4 is one group of four. */
export interface Meter {
  readonly count: number;
  readonly unit: 2 | 4 | 8 | 16;
  readonly grouping: readonly number[];
}

/** One felt beat of a bar. `at` is from the bar's start; `group` tells that a group begins here. */
export interface Beat {
  readonly at: Tick;
  readonly ticks: Tick;
  readonly group: boolean;
}

/** Usual groupings; common practice, no source. Others are typed: `5/4 2+3`. */
const USUAL_GROUPING: Readonly<Record<string, readonly number[]>> = {
  '5/4': [3, 2],
  '7/4': [4, 3],
  '5/8': [3, 2],
  '6/8': [3, 3],
  '7/8': [2, 2, 3],
  '8/8': [3, 3, 2],
  '9/8': [3, 3, 3],
  '12/8': [3, 3, 3, 3],
};

/** Reads `4/4`, `7/8` or `7/8 2+3+2`.
 * @returns issues `meter` or `grouping` at `path` */
export function parseMeter(text: string, path: Path = ['meter']): Result<Meter> {
  const known = READ.get(text);
  if (known) return ok(known);
  const read = readMeter(text, path);
  if (read.ok) {
    if (READ.size >= MOST_READ) READ.clear();
    READ.set(text, read.value);
  }
  return read;
}

/** Meters by the text they were read from: the same text is the same value, so that what is
 * computed of a meter can be kept with it. */
const READ = new Map<string, Meter>();
const MOST_READ = 500;

function readMeter(text: string, path: Path): Result<Meter> {
  const match = /^\s*(\d{1,2})\s*\/\s*(2|4|8|16)(?:\s*[=\s]\s*(\d+(?:\+\d+)*))?\s*$/.exec(text);
  const count = Number(match?.[1] ?? 0);
  if (!match || count < 1 || count > 24) return fail({ code: 'meter', path, text: text.trim() });
  const unit = Number(match[2]) as Meter['unit'];
  const typed = match[3]?.split('+').map(Number);
  const grouping = typed ?? USUAL_GROUPING[`${count}/${unit}`] ?? [count];
  if (grouping.some((n) => n < 1) || grouping.reduce((sum, n) => sum + n, 0) !== count) {
    return fail({ code: 'grouping', path, text: grouping.join('+'), count });
  }
  return ok({ count, unit, grouping });
}

/** @example formatMeter({ count: 7, unit: 8, grouping: [2, 3, 2] }) // => '7/8 2+3+2' */
export function formatMeter(meter: Meter): string {
  const name = `${meter.count}/${meter.unit}`;
  const usual = USUAL_GROUPING[name] ?? [meter.count];
  return usual.join('+') === meter.grouping.join('+')
    ? name
    : `${name} ${meter.grouping.join('+')}`;
}

export function unitTicks(meter: Meter): Tick {
  return tick((TICKS_PER_QUARTER * 4) / meter.unit);
}

export function barTicks(meter: Meter): Tick {
  return tick(unitTicks(meter) * meter.count);
}

/** The felt beats: every unit in halves and quarters, every group in 8ths and 16ths.
 * A lone group of 8ths, such as 3/8, is one beat. */
export function beats(meter: Meter): readonly Beat[] {
  let found = BEATS.get(meter);
  if (!found) {
    found = beatsOf(meter);
    BEATS.set(meter, found);
  }
  return found;
}

const BEATS = new WeakMap<Meter, readonly Beat[]>();

function beatsOf(meter: Meter): readonly Beat[] {
  const unit = unitTicks(meter);
  const byUnit = meter.unit <= 4;
  const found: Beat[] = [];
  let at = 0;
  for (const group of meter.grouping) {
    const parts = byUnit ? Array.from({ length: group }, () => 1) : [group];
    parts.forEach((units, index) => {
      found.push({ at: tick(at), ticks: tick(units * unit), group: index === 0 });
      at += units * unit;
    });
  }
  return found;
}

/** What the tempo counts: the dotted quarter where all groups hold three 8ths, else the quarter
 * (the half in x/2). Common practice, no source. */
export function tempoBeatTicks(meter: Meter): Tick {
  if (meter.unit === 2) return tick(TICKS_PER_QUARTER * 2);
  if (meter.unit === 8 && meter.grouping.every((n) => n === 3)) {
    return tick((TICKS_PER_QUARTER * 3) / 2);
  }
  return TICKS_PER_QUARTER;
}

/** Whether a felt beat begins at a place; places beyond the bar wrap.
 * @param at ticks from the start of a bar, >= 0
 * @example onBeat(quarters(1, 2), meter44) // => false */
export function onBeat(at: number, meter: Meter): boolean {
  return beatPlaces(meter).has(at % barTicks(meter));
}

/** Where felt beats begin, in ticks from the start of a bar. */
export function beatPlaces(meter: Meter): ReadonlySet<number> {
  let places = BEAT_PLACES.get(meter);
  if (!places) {
    places = new Set(beats(meter).map((beat) => beat.at));
    BEAT_PLACES.set(meter, places);
  }
  return places;
}

const BEAT_PLACES = new WeakMap<Meter, ReadonlySet<number>>();

/** The beat, from 0, in which a place of the bar lies. */
export function beatIndexAt(meter: Meter, atInBar: number): number {
  const all = beats(meter);
  return Math.max(
    0,
    all.findLastIndex((beat) => beat.at <= atInBar),
  );
}
