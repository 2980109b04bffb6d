import { formatGrid, type Stroke } from '../pattern';
import {
  formatMeter,
  quarters,
  slotTicks,
  SUBDIVISION_IDS,
  type Feel,
  type Meter,
  type SubdivisionId,
} from '../time';
import type { Lane, LaneMark, Ostinato } from './ostinato-schema';

/** What an exercise plays, and how it is counted. */
interface Played {
  readonly strokes: readonly Stroke[];
  readonly cycleTicks: number;
  readonly meter: Meter;
  readonly feel: Feel;
}

/** What an exercise plays as an ostinato of its own: a lane for each limb and voice, on the coarsest
 * grid that holds it, or on several in turn, as long as the cycle.
 * @returns null where nothing plays, or something lies on no grid that can be written */
export function ostinatoOf(exercise: Played, name: string): Ostinato | null {
  const parts = new Map<string, Stroke[]>();
  for (const stroke of exercise.strokes) {
    const key = `${stroke.limb} ${stroke.voice}`;
    parts.set(key, [...(parts.get(key) ?? []), stroke]);
  }
  const lanes: Lane[] = [];
  for (const strokes of parts.values()) {
    const lane = laneOf(strokes, exercise.cycleTicks);
    if (!lane) return null;
    lanes.push(lane);
  }
  if (lanes.length === 0) return null;
  const swung = exercise.feel.kind === 'swung';
  return { name, meter: formatMeter(exercise.meter), swung, lanes };
}

function laneOf(strokes: readonly Stroke[], cycle: number): Lane | null {
  const [first] = strokes;
  const spans = first && (onOneGrid(strokes, cycle) ?? onSeveralGrids(strokes, cycle));
  const [opening] = spans ?? [];
  if (!first || !spans || !opening) return null;
  const marks: LaneMark[] = [];
  let before = 0;
  const grids = spans.map(({ slots }) => {
    slots.forEach((stroke, index) => {
      if (!stroke?.ornament && !stroke?.texture) return;
      const { ornament, texture } = stroke;
      const slot = before + index;
      marks.push({ slot, ...(ornament && { ornament }), ...(texture && { texture }) });
    });
    before += slots.length;
    return formatGrid(slots.map((stroke) => stroke?.dynamic ?? null));
  });
  const grid = grids.map((one, index) => (index === 0 ? one : ` ${spans[index]?.id}: ${one}`));
  const { limb, voice } = first;
  const lane = { limb, voice, slot: opening.id, grid: grid.join('') };
  return { ...lane, ...(marks.length > 0 && { marks }) };
}

/** Slots of one length after each other. */
interface Span {
  readonly id: SubdivisionId;
  readonly slots: readonly (Stroke | null)[];
}

/** The coarsest grid that holds all, its shortest part once. */
function onOneGrid(strokes: readonly Stroke[], cycle: number): readonly Span[] | null {
  const id = SUBDIVISION_IDS.find((one) => fits(strokes, 0, cycle, one));
  if (!id) return null;
  const slots = slotsOf(strokes, 0, cycle, id);
  return [{ id, slots: slots.slice(0, repeatedPart(slots.map(tokenOf))) }];
}

/** Lengths over which a grid may hold, the usual one first. */
const SPANS = [quarters(1), quarters(2), quarters(1, 2), quarters(3, 2)];

/** A grid for each beat where it has to change; it goes on while it fits. */
function onSeveralGrids(strokes: readonly Stroke[], cycle: number): readonly Span[] | null {
  const spans: Span[] = [];
  for (let at = 0; at < cycle;) {
    const before = spans.at(-1)?.id;
    const ids = before ? [before, ...SUBDIVISION_IDS] : SUBDIVISION_IDS;
    const found = SPANS.flatMap((length) => {
      const id = ids.find((one) => at + length <= cycle && fits(strokes, at, at + length, one));
      return id ? [{ id, length }] : [];
    })[0];
    if (!found) return null;
    const slots = slotsOf(strokes, at, at + found.length, found.id);
    if (found.id === before) {
      const last = spans.pop();
      spans.push({ id: found.id, slots: [...(last?.slots ?? []), ...slots] });
    } else spans.push({ id: found.id, slots });
    at += found.length;
  }
  return spans;
}

function fits(strokes: readonly Stroke[], from: number, to: number, id: SubdivisionId): boolean {
  const width = slotTicks(id);
  const inside = strokes.filter(({ at }) => at >= from && at < to);
  return (to - from) % width === 0 && inside.every(({ at }) => (at - from) % width === 0);
}

function slotsOf(
  strokes: readonly Stroke[],
  from: number,
  to: number,
  id: SubdivisionId,
): readonly (Stroke | null)[] {
  const width = slotTicks(id);
  const places = new Map(strokes.map((stroke) => [(stroke.at - from) / width, stroke]));
  return Array.from({ length: (to - from) / width }, (_, index) => places.get(index) ?? null);
}

/** Tells slots apart by all that is played there. */
function tokenOf(stroke: Stroke | null): string {
  return stroke ? `${stroke.dynamic} ${stroke.ornament ?? ''} ${stroke.texture ?? ''}` : '';
}

/** Length of the shortest part that slots repeat. */
function repeatedPart(slots: readonly string[]): number {
  const { length } = slots;
  for (let part = 1; part < length; part += 1) {
    if (length % part === 0 && slots.every((slot, index) => slot === slots[index % part])) {
      return part;
    }
  }
  return length;
}
