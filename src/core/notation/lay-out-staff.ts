import type { Exercise } from '../recipe';
import type { Syllables } from '../time';
import { countRow } from './count-row';
import type { StaffGlyph } from './heads';
import { placeBar, type StaffBar } from './place-bar';
import { repeatsOf } from './repeats';
import { shapeBar } from './shape-bar';
import { spaceBar, type Place } from './space-bar';
import {
  CLEF_ROOM,
  extentOf,
  headOf,
  METER_ROOM,
  rowTexts,
  type RowText,
  type StaffExtent,
  type StaffRows,
} from './staff-rows';

/** One system of a staff on paper; lengths in staff spaces, from its left edge and the top line. */
interface StaffSystem {
  readonly head: readonly StaffGlyph[];
  readonly bars: readonly {
    readonly number: number;
    readonly left: number;
    readonly drawn: StaffBar;
    readonly texts: readonly RowText[];
  }[];
  /** Where the lines of the staff end. */
  readonly right: number;
}

/** A staff broken in systems of one height. */
export interface StaffLayout {
  readonly systems: readonly StaffSystem[];
  readonly extent: StaffExtent;
}

/** How much of an only or last system its notes have to take before they are drawn apart to its end, and how much
 * they are drawn apart where they take less. */
const NEARLY_FULL = 0.7;
const LOOSE = 1.15;

/** The thick line where a cycle ends. */
const END = 0.9;

interface Spaced {
  readonly bar: number;
  readonly places: readonly Place[];
  readonly width: number;
}

/** Lays an exercise out in systems of a width: as many bars in each as keep their own spacing, the last not drawn
 * wider than its notes are elsewhere. A bar that is too wide for a system is made narrower.
 * @param width in staff spaces
 * @param columnsOf what is counted in a bar, in ticks from its start
 * @param syllables what it is counted with */
export function layOutStaff(
  exercise: Exercise,
  rows: StaffRows,
  {
    width,
    columnsOf,
    syllables,
  }: {
    readonly width: number;
    readonly columnsOf: (bar: number) => readonly number[];
    readonly syllables: Syllables;
  },
): StaffLayout {
  const { bars, barTicks, meter } = exercise;
  const extent = extentOf(exercise, rows);
  const repeats = rows.repeats ? repeatsOf(exercise) : [];
  const wordsOf = (bar: number) => (rows.count ? countRow(columnsOf(bar), meter, syllables) : []);
  const spaced = Array.from({ length: bars }, (_, bar): Spaced => {
    return { bar, ...spaceBar(shapeBar(exercise, bar), barTicks, bar === 0, wordsOf(bar)) };
  });
  const broken = breakInSystems(spaced, width);
  const systems = broken.map((row, index): StaffSystem => {
    const room = width - headRoom(index) - END;
    const own = row.reduce((sum, one) => sum + one.width, 0);
    const isShort = broken.length === 1 || row.length < (broken[0]?.length ?? 0);
    const isLoose = isShort && own < room * NEARLY_FULL;
    const stretch = isLoose ? Math.min(LOOSE, room / own) : room / own;
    let edge = headRoom(index);
    const placed = row.map(({ bar, places, width: ownWidth }) => {
      const left = edge;
      edge += ownWidth * stretch;
      const right = edge;
      const xOf = xIn([...places, { at: barTicks, x: ownWidth }], left, ownWidth, right - left);
      const repeat = repeats[bar] ?? null;
      const place = {
        left,
        right,
        xOf,
        begins: bar === 0,
        ends: bar === bars - 1,
        closes: true,
      };
      const whole = { bar, from: 0, to: barTicks };
      return {
        number: bar + 1,
        left,
        drawn: placeBar(shapeBar(exercise, bar), place, repeat),
        texts: repeat === null ? rowTexts(exercise, whole, rows, extent, wordsOf(bar), xOf) : [],
      };
    });
    return { head: headOf(meter, index === 0), bars: placed, right: edge };
  });
  return { systems, extent };
}

function headRoom(system: number): number {
  return system === 0 ? METER_ROOM : CLEF_ROOM;
}

/** Fills one system after the other, then evens out: a system that would be left with one short bar gets more. */
function breakInSystems(bars: readonly Spaced[], width: number): readonly (readonly Spaced[])[] {
  const systems: Spaced[][] = [];
  let left = 0;
  for (const bar of bars) {
    const row = systems.at(-1);
    if (row && bar.width <= left) {
      row.push(bar);
    } else {
      systems.push([bar]);
      left = width - headRoom(systems.length - 1) - END;
    }
    left -= bar.width;
  }
  return evened(systems, bars, width);
}

/** Bars spread over the same number of systems so that all hold about as many, where they fit. */
function evened(
  systems: readonly (readonly Spaced[])[],
  bars: readonly Spaced[],
  width: number,
): readonly (readonly Spaced[])[] {
  const each = Math.ceil(bars.length / systems.length);
  const even = systems.map((_, index) => bars.slice(index * each, (index + 1) * each));
  const fits = even.every((row, index) => {
    const own = row.reduce((sum, bar) => sum + bar.width, 0);
    return row.length > 0 && own <= width - headRoom(index) - END;
  });
  return fits ? even : systems;
}

/** What is before the first column stays as it is; the rest takes the room there is. */
function xIn(
  places: readonly Place[],
  left: number,
  own: number,
  width: number,
): (at: number) => number {
  const first = places[0]?.x ?? 0;
  const wider = (width - first) / (own - first);
  return (at) => {
    const next = places.findIndex((place) => place.at > at);
    const here = places[next < 0 ? places.length - 1 : Math.max(0, next - 1)];
    const after = places[next];
    const x = !here
      ? 0
      : !after || after.at === here.at
        ? here.x
        : here.x + ((at - here.at) / (after.at - here.at)) * (after.x - here.x);
    return left + first + (x - first) * wider;
  };
}
