import { fail, ok, type Issue, type Path, type Result } from '../issue';
import { makeStroke, parseGrid, type Dynamic, type Layer, type Stroke } from '../pattern';
import { slotTicks, SUBDIVISION_IDS, swingOfSlot, tick, type Tick } from '../time';
import type { Lane, Ostinato } from './ostinato-schema';

interface LaneHit {
  readonly at: Tick;
  readonly slot: number;
  readonly width: Tick;
  readonly dynamic: Dynamic;
}

interface LaneSlots {
  readonly hits: readonly LaneHit[];
  readonly lengthTicks: Tick;
}

/** The hits of a lane, its subdivisions followed.
 * @returns issue `grid-token` with slots counted through the whole lane */
export function laneSlots(lane: Pick<Lane, 'slot' | 'grid'>, path: Path): Result<LaneSlots> {
  const hits: LaneHit[] = [];
  const issues: Issue[] = [];
  let width: Tick = slotTicks(lane.slot);
  let at = 0;
  let slot = 0;
  for (const part of lane.grid.split(/(\d+t?:)/)) {
    const switched = SUBDIVISION_IDS.find((id) => part === `${id}:`);
    if (switched) width = slotTicks(switched);
    else if (part.trim() !== '') {
      const read = parseGrid(part, path);
      if (!read.ok) {
        const before = slot;
        const moved = (issue: Issue) =>
          issue.code === 'grid-token' ? { ...issue, at: issue.at + before } : issue;
        issues.push(...read.issues.map(moved));
        continue;
      }
      for (const dynamic of read.value) {
        if (dynamic !== null) hits.push({ at: tick(at), slot, width, dynamic });
        at += width;
        slot += 1;
      }
    }
  }
  if (issues.length > 0) return fail(...issues);
  if (slot === 0) return fail({ code: 'grid-token', path, token: '', at: 0 });
  return ok({ hits, lengthTicks: tick(at) });
}

/** The lanes of an ostinato as layers.
 * @param index place of the ostinato in its recipe, kept as provenance
 * @returns issues of the grids, with path `over`, index, `lanes`, lane */
export function ostinatoLayers(ostinato: Ostinato, index: number): Result<readonly Layer[]> {
  const [first] = ostinato.lanes;
  const known = (first && MADE.get(first)) ?? [];
  const found = known.find((one) => one.index === index && isSame(one.ostinato, ostinato));
  if (found) return ok(found.layers);
  const made = makeLayers(ostinato, index);
  if (made.ok && first && known.length < MOST_KEPT) {
    MADE.set(first, [...known, { ostinato, index, layers: made.value }]);
  }
  return made;
}

interface Made {
  readonly ostinato: Ostinato;
  readonly index: number;
  readonly layers: readonly Layer[];
}

/** Layers by the first lane they come from, and their place in the recipe: a family asks for the same
 * ones over and over, and an ostinato keeps its lanes when it is put into a recipe. */
const MADE = new WeakMap<Lane, readonly Made[]>();

const MOST_KEPT = 8;

function isSame(one: Ostinato, other: Ostinato): boolean {
  return (
    one.name === other.name &&
    one.lanes.length === other.lanes.length &&
    one.lanes.every((lane, nth) => lane === other.lanes[nth])
  );
}

function makeLayers(ostinato: Ostinato, index: number): Result<readonly Layer[]> {
  const issues: Issue[] = [];
  const read: { readonly lane: Lane; readonly slots: LaneSlots }[] = [];
  ostinato.lanes.forEach((lane, laneIndex) => {
    const slots = laneSlots(lane, ['over', index, 'lanes', laneIndex]);
    if (slots.ok) read.push({ lane, slots: slots.value });
    else issues.push(...slots.issues);
  });
  if (issues.length > 0) return fail(...issues);
  return ok(
    read.map(({ lane, slots }) => ({
      role: 'over',
      name: ostinato.name,
      lengthTicks: slots.lengthTicks,
      strokes: slots.hits.map((hit) => strokeOf(lane, hit, index)),
    })),
  );
}

function strokeOf(lane: Lane, hit: LaneHit, ostinato: number): Stroke {
  const { limb, voice } = lane;
  const { at, slot, width, dynamic } = hit;
  const from = { source: 'over', ostinato, slot } as const;
  const swings = swingOfSlot(width);
  const mark = lane.marks?.find((one) => one.slot === slot);
  const { ornament, texture } = mark ?? {};
  return makeStroke({
    at,
    limb,
    voice,
    dynamic,
    ornament,
    texture,
    slot: width,
    swings,
    from,
  });
}
