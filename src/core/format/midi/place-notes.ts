import { slotTicks, tick, TICKS_PER_QUARTER, type Tick } from '../../time';
import { exactGrid, likelyGrid, putOn, type PlayedGrid, type Put } from '../score';

/** A place of a file: quarters from its start, and what is struck there. */
interface Struck {
  readonly at: number;
  readonly key: number;
  readonly limb: string | null;
}

/** A note that was put onto a slot. */
export interface Placed<Note> extends Put {
  readonly note: Note;
  /** Bar, from 0, and the place in it. */
  readonly bar: number;
  readonly at: Tick;
}

/** Sums of fractions may be off by less, in quarters. */
const NEAR = 0.001;

/** Puts notes onto slots: all on one grid, or beat by beat, counted in quarters from each bar line. A file is exact where
 * every note lies on some grid but for the rounding of the file's own ticks: then each limb and drum of a beat takes the
 * coarsest that holds its notes, fives, sevens, nines and twelves too. Else it was played, and a beat takes the first grid
 * on which none of its notes is doubtful.
 * @param barStarts quarters from the start, rising  @param chosen null takes what is likely: beats where the file is exact;
 * else one grid for all where nothing is doubtful on it, and beats where something is */
export function placeNotes<Note extends Struck>(
  notes: readonly Note[],
  barStarts: readonly number[],
  ticksPerQuarter: number,
  chosen: PlayedGrid | null,
): { readonly grid: PlayedGrid; readonly placed: readonly Placed<Note>[] } {
  const beats = beatsOf(notes, barStarts);
  const rounding = 0.5 / ticksPerQuarter + 1e-6;
  if (chosen !== null && chosen !== 'beats') {
    return { grid: chosen, placed: beats.flatMap((beat) => onGrid(beat, () => chosen, barStarts)) };
  }
  const exact = beats.map((beat) => exactGrids(beat, rounding));
  if (!exact.includes(null)) {
    const placed = beats.flatMap((beat, nth) =>
      onGrid(beat, (one) => exact[nth]?.get(one) ?? '12', barStarts),
    );
    return { grid: 'beats', placed };
  }
  const grid = likelyGrid(beats.flatMap(({ own }) => own.map(({ within }) => within)));
  const onOne = beats.flatMap((beat) => onGrid(beat, () => grid, barStarts));
  if (chosen === null && onOne.every(({ doubtful }) => !doubtful)) return { grid, placed: onOne };
  const placed = beats.flatMap((beat) => {
    const likely = likelyGrid(beat.own.map(({ within }) => within));
    return onGrid(beat, () => likely, barStarts);
  });
  return { grid: 'beats', placed };
}

interface InBeat<Note> {
  readonly note: Note;
  /** Quarters from the beat. */
  readonly within: number;
}

interface Beat<Note> {
  readonly bar: number;
  /** Quarters from the bar line. */
  readonly from: number;
  readonly own: readonly InBeat<Note>[];
}

function beatsOf<Note extends Struck>(
  notes: readonly Note[],
  barStarts: readonly number[],
): readonly Beat<Note>[] {
  const beats = new Map<string, Beat<Note> & { readonly own: InBeat<Note>[] }>();
  let bar = 0;
  for (const note of [...notes].sort((a, b) => a.at - b.at)) {
    while ((barStarts[bar + 1] ?? Infinity) <= note.at + NEAR) bar += 1;
    const inBar = Math.max(0, note.at - (barStarts[bar] ?? 0));
    const from = Math.floor(inBar + NEAR);
    const key = `${bar} ${from}`;
    const beat = beats.get(key) ?? { bar, from, own: [] };
    beat.own.push({ note, within: Math.max(0, inBar - from) });
    beats.set(key, beat);
  }
  return [...beats.values()];
}

/** The grid of each note of a beat, where all of them lie on one; null where one does not. */
function exactGrids<Note extends Struck>(
  { own }: Beat<Note>,
  rounding: number,
): ReadonlyMap<InBeat<Note>, Put['grid']> | null {
  const lanes = new Map<string, InBeat<Note>[]>();
  for (const one of own) {
    const key = `${one.note.key} ${one.note.limb ?? ''}`;
    lanes.set(key, [...(lanes.get(key) ?? []), one]);
  }
  const found = new Map<InBeat<Note>, Put['grid']>();
  for (const lane of lanes.values()) {
    const together = exactGrid(
      lane.map(({ within }) => within),
      rounding,
    );
    for (const one of lane) {
      const grid = together ?? exactGrid([one.within], rounding);
      if (!grid) return null;
      found.set(one, grid);
    }
  }
  return found;
}

/** A note a little early for the next bar belongs to it. */
function onGrid<Note>(
  { bar, from, own }: Beat<Note>,
  gridOf: (one: InBeat<Note>) => Put['grid'],
  barStarts: readonly number[],
): readonly Placed<Note>[] {
  return own.map((one) => {
    const put = putOn(one.within, gridOf(one));
    const width = slotTicks(put.grid);
    const at = from * TICKS_PER_QUARTER + put.slot * width;
    const whole = ((barStarts[bar + 1] ?? Infinity) - (barStarts[bar] ?? 0)) * TICKS_PER_QUARTER;
    const isNext = at >= Math.round(whole);
    const inBar = isNext ? at - Math.round(whole) : at;
    return {
      ...put,
      ...{ note: one.note, bar: isNext ? bar + 1 : bar, at: tick(inBar) },
      slot: Math.round(inBar / width),
    };
  });
}
