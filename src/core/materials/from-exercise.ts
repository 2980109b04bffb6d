import { formatGrid, type Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import { formatMeter, slotTicks, SUBDIVISION_IDS } from '../time';
import type { Lane, Ostinato } from './ostinato';

/** What an exercise plays as an ostinato of its own: a lane for each limb and voice, on the coarsest
 * grid that holds it, as long as the cycle.
 * @returns null where nothing plays, or something lies on no grid that can be written */
export function ostinatoOf(exercise: Exercise, name: string): Ostinato | null {
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
  const places = new Map(strokes.map((stroke) => [stroke.at as number, stroke.dynamic]));
  const slots = Array.from({ length: cycle / slotTicks(slot) }, (_, index) => {
    return places.get(index * slotTicks(slot)) ?? null;
  });
  const grid = formatGrid(slots);
  const part = repeatedPart(grid);
  return { limb: first.limb, voice: first.voice, slot, grid: part };
}

/** The shortest part that a grid repeats. */
function repeatedPart(grid: string): string {
  for (let length = 1; length < grid.length; length += 1) {
    if (grid.length % length === 0 && grid === grid.slice(0, length).repeat(grid.length / length)) {
      return grid.slice(0, length);
    }
  }
  return grid;
}
