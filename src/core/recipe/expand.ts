import { fail, ok, type Issue, type Result } from '../issue';
import {
  claimsOf,
  interpret,
  type InterpretationKind,
  readsAs,
  settleClaims,
  type InterpretationOptions,
  type Reading,
  type Stretch,
} from '../interpret';
import { LIMBS, type Limb } from '../kit';
import { ostinatoLayers } from '../materials';
import { alignLayers, cutLayer, inTimeOrder, layOver, mergeStrokes, type Layer } from '../pattern';
import { lineTicks, onsets, parseLine, type ReadingLine } from '../reading';
import { stickingLayer } from '../sticking';
import { barTicks, parseMeter, slotTicks, tick, type Meter, type Tick } from '../time';
import { aimedAt, crowdedGraces, footLayers, landsTicks, type Change } from '../transform';
import {
  changeLayer,
  changeWhole,
  isLayerChange,
  isWholeChange,
  moveClaims,
  writeSwing,
} from './change';
import type { Exercise } from './exercise';
import { fitKit } from './fit';
import { allGaveWay, gaveWay, lostAnchors, type GaveWay } from './gave-way';
import type { ClosedMember, ClosedRecipe } from './schema';
import { expandSequence } from './sequence';

/** Longest cycle that is shown whole. */
export const MOST_BARS = 64;

/** Turns a closed recipe into strokes: a pure function, the only one that does.
 * @returns the issues of every ingredient at once, each with its path in the recipe */
export function expand(recipe: ClosedRecipe): Result<Exercise> {
  const { then, ...first } = recipe;
  return then ? expandSequence(first, then, expandMember) : expandMember(first);
}

function expandMember(recipe: ClosedMember): Result<Exercise> {
  const meter = parseMeter(recipe.meter);
  if (!meter.ok) return meter;
  if (recipe.over.length === 0 && recipe.play === null && recipe.changes.length === 0) {
    return fail({ code: 'nothing-to-play', path: [] });
  }
  const issues: Issue[] = [];
  const over = recipe.over.flatMap((one, index): readonly Layer[] => {
    const layers = ostinatoLayers(one.content, index);
    if (layers.ok) return layers.value;
    issues.push(...layers.issues);
    return [];
  });
  const played = recipe.play ? playPhrase(recipe.play.content, recipe.as, meter.value) : null;
  if (played && !played.ok) issues.push(...played.issues);
  if (issues.length > 0) return fail(...issues);
  return settle(recipe, meter.value, over, played?.ok ? played.value : null);
}

/** What is played over the ostinato, before any change. */
interface Phrase {
  readonly line: ReadingLine | null;
  readonly layer: Layer;
  readonly claims: readonly Limb[];
  readonly reads: Reading;
  /** What made it of the line. */
  readonly by: InterpretationKind | 'sticking';
}

function playPhrase(
  content: NonNullable<ClosedMember['play']>['content'],
  as: ClosedMember['as'],
  meter: Meter,
): Result<Phrase> {
  if ('sticking' in content) {
    const layer = stickingLayer(content, meter);
    if (!layer.ok) return layer;
    if (layer.value.strokes.length === 0) {
      return fail({ code: 'only-rests', path: ['play'], what: 'sticking' });
    }
    const used = new Set(layer.value.strokes.map((stroke) => stroke.limb));
    const claims = LIMBS.filter((limb) => used.has(limb));
    return ok({ line: null, layer: layer.value, claims, reads: 'sticking', by: 'sticking' });
  }
  const line = parseLine(content.text, meter);
  if (!line.ok) return line;
  if (onsets(line.value).length === 0) {
    return fail({ code: 'only-rests', path: ['play'], what: 'line' });
  }
  const options = interpretationOptions(as);
  const strokes = interpret(line.value, options);
  if (!strokes.ok) return strokes;
  const layer: Layer = {
    role: 'line',
    name: content.name ?? content.text,
    lengthTicks: lineTicks(line.value),
    strokes: [...strokes.value].sort(inTimeOrder),
  };
  return ok({
    line: line.value,
    layer,
    claims: claimsOf(options),
    reads: readsAs(as.kind),
    by: as.kind,
  });
}

const OPTIONS = new WeakMap<ClosedMember['as'], InterpretationOptions>();

/** The recipe's interpretation with embedded contents taken out of their wrapping. */
export function interpretationOptions(as: ClosedMember['as']): InterpretationOptions {
  if (as.kind !== 'phrase-cells') return as;
  let options = OPTIONS.get(as);
  if (!options) OPTIONS.set(as, (options = { ...as, cells: as.cells.content }));
  return options;
}

/** Each layer is changed by itself first; from the first change on that looks at all of them, they
 * are looped to one cycle and changed together. A phrase is aimed before that: what it lies in is as
 * long as it is said to be. Footing and the kit come last. */
function settle(
  recipe: ClosedMember,
  meter: Meter,
  over: readonly Layer[],
  phrase: Phrase | null,
): Result<Exercise> {
  const bar = barTicks(meter);
  const firstWhole = recipe.changes.findIndex(isWholeChange);
  const split = firstWhole < 0 ? recipe.changes.length : firstWhole;
  const early = recipe.changes.slice(0, split).filter(isLayerChange);
  const frame = { meter, barTicks: bar, feel: recipe.feel };
  const parts = [...over, ...(phrase ? [phrase.layer] : [])].map((layer) =>
    early.reduce(
      (one, change) => changeLayer(one, change, frame),
      writeSwing(layer, recipe.feel, meter),
    ),
  );
  const late = recipe.changes.slice(split);
  const [aim] = late;
  const aims = aim?.kind === 'aim';
  const looped = inOneCycle(
    aims ? changeWhole(parts, aim, frame).layers : parts,
    bar,
    'over',
    recipe.cut,
  );
  if (!looped.ok) return looped;
  const line = looped.value.layers.find((layer) => layer.role === 'line');
  const under = looped.value.layers.filter((layer) => layer.role === 'over');
  const settled =
    line && phrase
      ? settleClaims(under, line, {
          stretch: (aims ? stretchOf(parts, aim, meter, bar) : null) ?? passesOf(line),
          claims: early.reduce(moveClaims, phrase.claims),
          policy: recipe.clash,
          by: phrase.by,
        })
      : ok({ over: under, line: null, shared: [] });
  if (!settled.ok) return settled;
  // A groove, or a part, that rests was told to, and so was one under a phrase that was placed.
  const isTold = recipe.clash === 'groove' || recipe.clash === 'throughout';
  const takes = settled.value.shared.length > 0 && !aims && !isTold;
  const lost =
    takes && settled.value.line
      ? lostAnchors(recipe.over, {
          before: under,
          after: settled.value.over,
          line: settled.value.line,
        })
      : [];
  let layers = [...settled.value.over, ...(settled.value.line ? [settled.value.line] : [])];
  if (layers.length === 0) layers = [silence(bar)];
  let stale = 0;
  let gone: readonly GaveWay[] = [];
  let crowded: readonly Tick[] = [];
  let cutFrom = looped.value.cutFrom;
  for (const change of aims ? late.slice(1) : late) {
    const changed = isWholeChange(change)
      ? changeWhole(layers, change, frame)
      : { layers: layers.map((layer) => changeLayer(layer, change, frame)), stale: 0 };
    stale += changed.stale;
    if (change.kind === 'open-graces') {
      gone = allGaveWay([gone, gaveWay(layers, changed.layers)]);
      crowded = [...crowded, ...crowdedGraces(layers, slotTicks(change.slot))];
    }
    const aligned = inOneCycle(changed.layers, bar, 'changes', recipe.cut);
    if (!aligned.ok) return aligned;
    layers = [...aligned.value.layers];
    cutFrom ??= aligned.value.cutFrom;
  }
  const laid = laidOver(layers);
  gone = allGaveWay([gone, gaveWay(layers, laid)]);
  layers = laid;
  const footed = inOneCycle(recipe.changes.reduce(foot, layers), bar, 'changes', recipe.cut);
  if (!footed.ok) return footed;
  const reads = phrase?.reads ?? 'voices';
  const fitted = fitKit(footed.value.layers, recipe.kit.content, reads);
  const whole = tick(fitted.layers[0]?.lengthTicks ?? bar);
  const blank = fitted.layers.every((layer) => layer.strokes.length === 0);
  const written = recipe.changes.some((change) => change.kind === 'hand');
  if (blank && !written && over.length === 0 && !phrase) {
    return fail({ code: 'nothing-to-play', path: [] });
  }
  return ok({
    meter,
    feel: recipe.feel,
    barTicks: bar,
    bars: whole / bar,
    cycleTicks: whole,
    cutFrom: cutFrom ?? footed.value.cutFrom,
    layers: fitted.layers,
    strokes: mergeStrokes(fitted.layers),
    reads,
    shared: settled.value.shared,
    kit: recipe.kit.content,
    replaced: fitted.replaced,
    levels: recipe.levels ?? null,
    kept: recipe.kept ?? [],
    stale,
    gaveWay: gone,
    crowdedGraces: crowded,
    lostAnchors: lost,
    members: [],
  });
}

/** Ostinatos and what changes add, each over those before it; the phrase has met them already. */
function laidOver(layers: readonly Layer[]): Layer[] {
  const over = layers.filter(({ role }) => role === 'over');
  const laid = layOver(over);
  return laid === over ? [...layers] : layers.map((one) => laid[over.indexOf(one)] ?? one);
}

/** A phrase that was not placed goes round through the whole cycle. */
function passesOf(line: Layer): Stretch {
  const own = line.ownTicks ?? line.lengthTicks;
  return { from: 0, every: own, ticks: own };
}

function stretchOf(
  parts: readonly Layer[],
  aim: Extract<Change, { kind: 'aim' }>,
  meter: Meter,
  bar: Tick,
): Stretch | null {
  const aimed = aimedAt(parts, { ...aim, landsTicks: landsTicks(aim, meter) }, bar);
  return aimed && { ...aimed, lands: aim.by === 'last note' };
}

/** A bar in which nothing plays, for changes that add something. */
function silence(bar: Tick): Layer {
  return { role: 'over', name: '', lengthTicks: bar, strokes: [] };
}

interface Aligned {
  readonly layers: readonly Layer[];
  /** Bars of the whole cycle where it was cut; else null. */
  readonly cutFrom: number | null;
}

/** @param cut bars after which everything begins anew, where the cycle is longer */
function inOneCycle(
  layers: readonly Layer[],
  bar: Tick,
  path: 'over' | 'changes',
  cut?: number,
): Result<Aligned> {
  const aligned = alignLayers(layers, bar, MOST_BARS);
  const bars = typeof aligned === 'number' ? aligned : (aligned[0]?.lengthTicks ?? bar) / bar;
  if (cut !== undefined && bars > cut) {
    return ok({ layers: layers.map((one) => cutLayer(one, tick(cut * bar))), cutFrom: bars });
  }
  if (typeof aligned !== 'number') return ok({ layers: aligned, cutFrom: null });
  return fail({ code: 'cycle-too-long', path: [path], bars: aligned, most: MOST_BARS });
}

/** Footing looks at all bass drums of its part at once, so it comes after everything else. */
function foot(layers: Layer[], change: ClosedMember['changes'][number]): Layer[] {
  if (change.kind !== 'footing') return layers;
  const mine = layers.filter((layer) => change.part === 'all' || change.part === layer.role);
  const footed = footLayers(mine, change.school);
  return layers.map((layer) => footed[mine.indexOf(layer)] ?? layer);
}
