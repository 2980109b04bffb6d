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
import { mirrorHand, mirrorLimb, type Limb } from '../kit';
import { ostinatoLayers } from '../materials';
import { commonCycle, inTimeOrder, loopLayer, type Layer } from '../pattern';
import { lineTicks, parseLine, type ReadingLine } from '../reading';
import { barTicks, parseMeter, slotTicks, type Meter } from '../time';
import {
  displaceAccents,
  displacePattern,
  displaceSticking,
  mirrorHands,
  mirrorLimbs,
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
    recipe.changes.reduce(applyChange, layer),
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
        recipe.changes.reduce(mirrorClaims, claimsOf(interpretationOptions(recipe.as))),
        recipe.clash,
        interpretationName(recipe.as.kind),
      )
    : ok({ over: overLayers, line: null, shared: [] });
  if (!settled.ok) return settled;
  const kit = recipe.kit.content;
  const reads = readsAs(recipe.as.kind);
  const all = [...settled.value.over, ...(settled.value.line ? [settled.value.line] : [])].map(
    (layer) => fitHands(layer, kit.handedness, reads),
  );
  return ok({
    meter,
    feel: recipe.feel,
    barTicks: bar,
    bars,
    cycleTicks: cycle,
    layers: all,
    strokes: all.flatMap((layer) => layer.strokes).sort(inTimeOrder),
    line,
    reads,
    shared: settled.value.shared,
    kit,
  });
}

/** A mirrored line needs the limbs of the other side. */
function mirrorClaims(claims: readonly Limb[], change: Change): readonly Limb[] {
  if (change.kind !== 'mirror' || change.part === 'over') return claims;
  return claims.map(change.what === 'hands' ? mirrorHand : mirrorLimb);
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
