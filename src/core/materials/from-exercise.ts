import { formatGrid, type Stroke } from '../pattern';
import { formatMeter, slotTicks, SUBDIVISION_IDS, type Feel, type Meter } from '../time';
import type { Lane, LaneMark, Ostinato } from './ostinato-schema';

/** What an exercise plays, and how it is counted. */
interface Played {
  readonly strokes: readonly Stroke[];
  readonly cycleTicks: number;
  readonly meter: Meter;
  readonly feel: Feel;
}

/** What an exercise plays as an ostinato of its own: a lane for each limb and voice, on the coarsest
 * grid that holds it, as long as the cycle.
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
  const slot = SUBDIVISION_IDS.find(
    (id) =>
      cycle % slotTicks(id) === 0 && strokes.every((stroke) => stroke.at % slotTicks(id) === 0),
  );
  if (!first || !slot) return null;
  const width = slotTicks(slot);
  const places = new Map(strokes.map((stroke) => [stroke.at / width, stroke]));
  const slots = Array.from({ length: cycle / width }, (_, index) => places.get(index) ?? null);
  const part = slots.slice(0, repeatedPart(slots.map(tokenOf)));
  const grid = formatGrid(part.map((stroke) => stroke?.dynamic ?? null));
  const marks = part.flatMap((stroke, index): LaneMark[] => {
    if (!stroke?.ornament && !stroke?.texture) return [];
    const { ornament, texture } = stroke;
    return [{ slot: index, ...(ornament && { ornament }), ...(texture && { texture }) }];
  });
  const { limb, voice } = first;
  return { limb, voice, slot, grid, ...(marks.length > 0 && { marks }) };
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
