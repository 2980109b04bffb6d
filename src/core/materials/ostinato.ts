import { fail, ok, type Issue, type Result } from '../issue';
import type { Limb, VoiceId } from '../kit';
import { parseGrid, type Layer, type Stroke } from '../pattern';
import { slotTicks, tick, type SubdivisionId } from '../time';

/** One limb's part of an ostinato, as a grid string over equal slots; it loops by itself. */
export interface Lane {
  readonly limb: Limb;
  readonly voice: VoiceId;
  readonly slot: SubdivisionId;
  readonly grid: string;
}

/** What keeps going. `swung` tells that it is meant with swung 8ths. */
export interface Ostinato {
  readonly name: string;
  readonly meter: string;
  readonly swung: boolean;
  readonly lanes: readonly Lane[];
}

/** The lanes of an ostinato as layers.
 * @param index place of the ostinato in its recipe, kept as provenance
 * @returns issues of the grids, with path `over`, index, `lanes`, lane */
export function ostinatoLayers(ostinato: Ostinato, index: number): Result<readonly Layer[]> {
  const issues: Issue[] = [];
  const layers: Layer[] = [];
  ostinato.lanes.forEach((lane, laneIndex) => {
    const slots = parseGrid(lane.grid, ['over', index, 'lanes', laneIndex]);
    if (!slots.ok) {
      issues.push(...slots.issues);
      return;
    }
    const width = slotTicks(lane.slot);
    const strokes = slots.value.flatMap((dynamic, slot): Stroke[] =>
      dynamic === null
        ? []
        : [
            {
              at: tick(slot * width),
              limb: lane.limb,
              voice: lane.voice,
              dynamic,
              from: { source: 'over', ostinato: index, slot },
            },
          ],
    );
    layers.push({
      role: 'over',
      name: ostinato.name,
      lengthTicks: tick(slots.value.length * width),
      strokes,
    });
  });
  return issues.length > 0 ? fail(...issues) : ok(layers);
}
