import { fail, ok, unreachable, type Issue, type Result } from '../issue';
import {
  claimsOf,
  interpret,
  interpretationName,
  readsAs,
  settleClaims,
  type InterpretationOptions,
  type Reading,
} from '../interpret';
import { isHand, mirrorHand, mirrorLimb, type Limb } from '../kit';
import { ostinatoLayers } from '../materials';
import { commonCycle, inTimeOrder, loopLayer, moveStrokes, type Layer } from '../pattern';
import { lineTicks, parseLine, type ReadingLine } from '../reading';
import {
  barTicks,
  parseMeter,
  slotTicks,
  tick,
  writtenSwing,
  type Feel,
  type Meter,
} from '../time';
import {
  displaceAccents,
  displacePattern,
  displaceSticking,
  footLayers,
  giveTo,
  mirrorHands,
  mirrorLimbs,
  pushStroke,
  reverseLayer,
  revoice,
  swapFeet,
} from '../transform';
import type { Exercise } from './exercise';
import type { Change, ClosedRecipe } from './schema';

/** Longest cycle that is shown whole. */
export const MOST_BARS = 64;

/** Turns a closed recipe into strokes: a pure function, the only one that does.
 * @returns the issues of every ingredient at once, each with its path in the recipe */
export function expand(recipe: ClosedRecipe): Result<Exercise> {
  const meter = parseMeter(recipe.meter);
  if (!meter.ok) return meter;
  if (recipe.over.length === 0 && recipe.play === null) {
    return fail({ code: 'nothing-to-play', path: [] });
  }
  const issues: Issue[] = [];
  const over = recipe.over.flatMap((one, index): readonly Layer[] => {
    const layers = ostinatoLayers(one.content, index);
    if (layers.ok) return layers.value;
    issues.push(...layers.issues);
    return [];
  });
  const played = recipe.play ? playLine(recipe.play.content, recipe.as, meter.value) : null;
  if (played && !played.ok) issues.push(...played.issues);
  if (issues.length > 0) return fail(...issues);
  const line = played?.ok ? played.value : null;
  const layers = [...over, ...(line ? [line.layer] : [])].map((layer) =>
    recipe.changes.reduce(applyChange, writeSwing(layer, recipe.feel, meter.value)),
  );
  return settle(recipe, meter.value, layers, line?.line ?? null);
}

function playLine(
  content: NonNullable<ClosedRecipe['play']>['content'],
  as: ClosedRecipe['as'],
  meter: Meter,
): Result<{ line: ReadingLine; layer: Layer }> {
  const line = parseLine(content.text, meter);
  if (!line.ok) return line;
  const strokes = interpret(line.value, interpretationOptions(as));
  if (!strokes.ok) return strokes;
  const layer: Layer = {
    role: 'line',
    name: content.name ?? content.text,
    lengthTicks: lineTicks(line.value),
    strokes: [...strokes.value].sort(inTimeOrder),
  };
  return ok({ line: line.value, layer });
}

/** The recipe's interpretation with embedded contents taken out of their wrapping. */
export function interpretationOptions(as: ClosedRecipe['as']): InterpretationOptions {
  return as.kind === 'phrase-cells' ? { ...as, cells: as.cells.content } : as;
}

/** Writes a swing in triplets, in meters that are counted in quarters or halves. */
function writeSwing(layer: Layer, feel: Feel, meter: Meter): Layer {
  if (feel.kind !== 'triplets' || meter.unit > 4) return layer;
  return moveStrokes(layer, (stroke) => writtenSwing(stroke.at, feel));
}

function applyChange(layer: Layer, change: Change): Layer {
  if (change.part !== 'all' && change.part !== layer.role) return layer;
  switch (change.kind) {
    case 'displace': {
      const ticks = change.by * slotTicks(change.slot);
      if (change.what === 'pattern') return displacePattern(layer, ticks);
      if (change.what === 'accents') return displaceAccents(layer, ticks);
      return displaceSticking(layer, change.by);
    }
    case 'mirror':
      return change.what === 'hands' ? mirrorHands(layer) : mirrorLimbs(layer);
    case 'reverse':
      return reverseLayer(layer, slotTicks(change.slot));
    case 'push': {
      const places = [...new Set(layer.strokes.map((stroke) => stroke.at))];
      const at = places[(change.note - 1) % places.length];
      const earlier = tick(change.by * slotTicks(change.slot));
      return at === undefined ? layer : pushStroke(layer, at, earlier);
    }
    case 'swap-feet':
      return swapFeet(layer);
    case 'footing':
      return layer;
    case 'give':
      return giveTo(layer, change.from, change.to);
    case 'revoice':
      return revoice(layer, change.from, change.to);
    default:
      return unreachable(change);
  }
}

function settle(
  recipe: ClosedRecipe,
  meter: Meter,
  layers: readonly Layer[],
  line: ReadingLine | null,
): Result<Exercise> {
  const bar = barTicks(meter);
  const cycle = commonCycle([bar, ...layers.map((layer) => layer.lengthTicks)]);
  const bars = cycle / bar;
  if (bars > MOST_BARS) {
    return fail({ code: 'cycle-too-long', path: ['over'], bars, most: MOST_BARS });
  }
  const looped = layers.map((layer) => loopLayer(layer, cycle));
  const lineLayer = looped.find((layer) => layer.role === 'line');
  const overLayers = looped.filter((layer) => layer.role === 'over');
  const settled = lineLayer
    ? settleClaims(
        overLayers,
        lineLayer,
        recipe.changes.reduce(moveClaims, claimsOf(interpretationOptions(recipe.as))),
        recipe.clash,
        interpretationName(recipe.as.kind),
      )
    : ok({ over: overLayers, line: null, shared: [] });
  if (!settled.ok) return settled;
  const kit = recipe.kit.content;
  const reads = readsAs(recipe.as.kind);
  const both = [...settled.value.over, ...(settled.value.line ? [settled.value.line] : [])];
  const all = recipe.changes
    .reduce(applyFooting, both)
    .map((layer) => fitHands(layer, kit.handedness, reads));
  const whole = tick(all[0]?.lengthTicks ?? cycle);
  if (whole / bar > MOST_BARS) {
    return fail({ code: 'cycle-too-long', path: ['changes'], bars: whole / bar, most: MOST_BARS });
  }
  return ok({
    meter,
    feel: recipe.feel,
    barTicks: bar,
    bars: whole / bar,
    cycleTicks: whole,
    layers: all,
    strokes: all.flatMap((layer) => layer.strokes).sort(inTimeOrder),
    line,
    reads,
    shared: settled.value.shared,
    kit,
  });
}

/** Footing looks at all bass drums of its part at once, so it comes after everything else. */
function applyFooting(layers: readonly Layer[], change: Change): readonly Layer[] {
  if (change.kind !== 'footing') return layers;
  const mine = layers.filter((layer) => change.part === 'all' || change.part === layer.role);
  const footed = footLayers(mine, change.school);
  const length = footed[0]?.lengthTicks;
  return layers.map((layer) => {
    const index = mine.indexOf(layer);
    if (index >= 0) return footed[index] ?? layer;
    return length === undefined ? layer : loopLayer(layer, length);
  });
}

/** A line that other limbs play needs those limbs. */
function moveClaims(claims: readonly Limb[], change: Change): readonly Limb[] {
  if (change.part === 'over') return claims;
  switch (change.kind) {
    case 'mirror':
      return claims.map(change.what === 'hands' ? mirrorHand : mirrorLimb);
    case 'swap-feet':
      return claims.map((limb) => (isHand(limb) ? limb : mirrorLimb(limb)));
    case 'give':
      return [...new Set(claims.map((limb) => (limb === change.from ? change.to.limb : limb)))];
    default:
      return claims;
  }
}

/** Three different kinds of left-handed; see `Handedness`. Open-handed players swap what the
 * hands play on the kit, but keep a sticking's own lead. */
function fitHands(
  layer: Layer,
  handedness: ClosedRecipe['kit']['content']['handedness'],
  reads: Reading,
): Layer {
  switch (handedness) {
    case 'right':
      return layer;
    case 'mirrored':
      return mirrorLimbs(layer);
    case 'open-handed':
      return layer.role === 'line' && reads === 'sticking' ? layer : mirrorHands(layer);
    case 'left-lead':
      return mirrorHands(layer);
    default:
      return unreachable(handedness);
  }
}
