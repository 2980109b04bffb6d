import { isHand, LIMBS, limitsOf, type Limb } from '../kit';
import { gracesOf, type Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import {
  beatIndexAt,
  beats,
  onBeat,
  SUBDIVISIONS,
  ticksToSeconds,
  type SubdivisionId,
  type Tempo,
  type Tick,
} from '../time';
import {
  gapMsBetween,
  instantsOf,
  LIMB_BITS,
  movementsOf,
  pairCounts,
  soundingVoices,
  voiceBits,
  type PairCount,
} from './instants';
import { HAND_BITS, steadyLimbs } from './flow';
import { hatBeforeFoot } from './playability';
import { polyrhythmOf, type Polyrhythm } from './polyrhythm';
import { limbLoads } from './seam';

/** One thing to watch for. Places are ticks in the cycle. */
export type Cue =
  | { readonly kind: 'opens'; readonly at: Tick }
  | { readonly kind: 'hat'; readonly at: Tick; readonly closes: Tick }
  | { readonly kind: 'seam'; readonly limb: Limb }
  | { readonly kind: 'accent'; readonly at: Tick; readonly limb: Limb }
  | { readonly kind: 'follow'; readonly at: Tick; readonly foot: Limb; readonly hand: Limb }
  | ({ readonly kind: 'spoken' } & Polyrhythm)
  | { readonly kind: 'ghosts'; readonly at: Tick; readonly limb: Limb }
  /** Feet that run under a hand with accents; null where no hand has any. */
  | { readonly kind: 'running'; readonly at: Tick; readonly hand: Limb | null }
  | { readonly kind: 'loose'; readonly at: Tick; readonly limb: Limb; readonly accents: boolean }
  | { readonly kind: 'feather'; readonly at: Tick }
  | { readonly kind: 'after'; readonly at: Tick; readonly limb: Limb }
  | { readonly kind: 'tension'; readonly limb: Limb; readonly rate: number }
  /** Back in `slot` after faster ones; null where a slot has no name. */
  | {
      readonly kind: 'return';
      readonly at: Tick;
      readonly slot: SubdivisionId | null;
      readonly was: SubdivisionId | null;
    }
  /** Where they meet first, and how often in the cycle. */
  | {
      readonly kind: 'unison';
      readonly limbs: readonly Limb[];
      readonly at: Tick;
      readonly times: number;
    }
  | { readonly kind: 'graces' }
  | { readonly kind: 'bare'; readonly beats: number; readonly at: Tick };

/** Most cues that help; more are not listened to. Common practice, no source. */
const MOST = 3;

/** Neighbours nearer than this can pull a limb along. Common practice, no source. */
const NEAR_MS = 400;

/** A silence of more than a beat and longer than this tends to be rushed. Common practice, no source. */
const BARE_MS = 900;

/** What may go wrong in this exercise, the most likely to break first: what collides, hides, changes or
 * waits. Nothing where nothing of the kind is there; three at the most. */
export function cuesOf(exercise: Exercise, tempo: Tempo): readonly Cue[] {
  const found: Cue[] = [];
  for (const look of LOOKS) {
    const cue = look(exercise, tempo);
    if (cue) found.push(cue);
    if (found.length === MOST) break;
  }
  return found;
}

type Look = (exercise: Exercise, tempo: Tempo) => Cue | null;

/** A stick on the hi-hat so short before the foot closes it that it may ring. */
function opensCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const within = limitsOf(exercise.kit).hatBeforeFoot;
  const [first] = hatBeforeFoot(exercise, tempo, within);
  if (first?.rule !== 'hat-before-foot') return null;
  return { kind: 'opens', at: first.at };
}

const OPEN_HATS = voiceBits(['hat-open', 'hat-half']);

/** An open hi-hat waits for what closes it. */
function hatCue(exercise: Exercise): Cue | null {
  if ((soundingVoices(exercise) & OPEN_HATS) === 0) return null;
  const chain = instantsOf(exercise);
  for (const [index, { at, strokes }] of chain.entries()) {
    if (!strokes.some(({ voice }) => voice === 'hat-open' || voice === 'hat-half')) continue;
    const closes = [...chain.slice(index + 1), ...chain.slice(0, index)].find((one) =>
      one.strokes.some(({ voice }) => voice === 'hat' || voice === 'hat-foot'),
    );
    if (!closes) continue;
    return { kind: 'hat', at, closes: closes.at };
  }
  return null;
}

/** A double of one hand over the repeat that it has nowhere else. */
function seamCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const chain = instantsOf(exercise);
  const [first, last] = [chain[0], chain.at(-1)];
  if (!first || !last || first === last) return null;
  const hand = LIMBS.filter(isHand).find((limb) => {
    const bit = LIMB_BITS[limb];
    if ((first.mask & bit) === 0 || (last.mask & bit) === 0) return false;
    const seam = gapMsBetween(last, first, exercise, tempo);
    const mine = movementsOf(exercise, limb, tempo);
    const as = mine.filter((one, index) => {
      const next = mine[index + 1];
      return next && gapMsBetween(one, next, exercise, tempo) <= seam * 1.01;
    });
    return seam <= NEAR_MS && as.length === 0;
  });
  if (!hand) return null;
  return { kind: 'seam', limb: hand };
}

/** An accent off the beat wants to go to the beat before it, where its limb has none. */
function accentCue(exercise: Exercise): Cue | null {
  const { strokes, meter, barTicks } = exercise;
  if (!strokes.some(({ dynamic }) => dynamic === 'accent')) return null;
  const accented = new Set<number>();
  for (const { at, limb, dynamic } of strokes) {
    if (dynamic === 'accent') accented.add(placeOfLimb(at, limb));
  }
  const off = strokes.find(({ at, limb, dynamic }) => {
    if (dynamic !== 'accent' || onBeat(at, meter)) return false;
    const inBar = at % barTicks;
    const beat = beats(meter)[beatIndexAt(meter, inBar)]?.at ?? 0;
    return !accented.has(placeOfLimb(at - inBar + beat, limb));
  });
  if (!off) return null;
  return { kind: 'accent', at: off.at, limb: off.limb };
}

/** A number for a limb at a place. */
function placeOfLimb(at: number, limb: Limb): number {
  return at * 16 + LIMB_BITS[limb];
}

/** Whether what a limb plays is of a line or sticking: its cells go from limb to limb. */
function isOfPhrase(strokes: readonly Stroke[], limb: Limb): boolean {
  const from = strokes.find((one) => one.limb === limb)?.from.source;
  return from === 'line' || from === 'fill';
}

/** A foot that plays without a hand, right before one: it tends to go with it. In a linear pattern, and inside a
 * cell, that is how it goes. */
function followCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const chain = instantsOf(exercise);
  if (chain.every(({ limbs }) => limbs.length === 1)) return null;
  let best: { hand: Limb; foot: Limb; at: Tick; times: number } | null = null;
  for (const { limbs, first, second } of pairCounts(exercise)) {
    const [hand, foot] = limbs;
    if (!isHand(hand) || isHand(foot) || first === 0 || second === 0) continue;
    const [handBit, footBit] = [LIMB_BITS[hand], LIMB_BITS[foot]];
    let [times, at] = [0, chain[0]?.at];
    for (let index = 0; index < chain.length; index += 1) {
      const [one, next] = [chain[index], chain[(index + 1) % chain.length]];
      if (!one || !next || (one.mask & footBit) === 0 || (one.mask & HAND_BITS) !== 0) continue;
      if ((next.mask & handBit) === 0 || (next.mask & footBit) !== 0) continue;
      if (isOfPhrase(one.strokes, foot) && isOfPhrase(next.strokes, hand)) continue;
      if (gapMsBetween(one, next, exercise, tempo) >= NEAR_MS) continue;
      if (times === 0) at = one.at;
      times += 1;
    }
    if (at !== undefined && times > (best?.times ?? 0)) best = { hand, foot, at, times };
  }
  return best && { kind: 'follow', at: best.at, foot: best.foot, hand: best.hand };
}

/** Two limbs against each other. Nobody counts both: they are said as one. */
function spokenCue(exercise: Exercise): Cue | null {
  const found = polyrhythmOf(exercise);
  return found && { kind: 'spoken', ...found };
}

/** A hand that has accents and ghosts. */
function ghostsCue({ strokes }: Exercise): Cue | null {
  const ghost = strokes.find(
    ({ dynamic, limb }) =>
      dynamic === 'ghost' &&
      isHand(limb) &&
      strokes.some((one) => one.limb === limb && one.dynamic === 'accent'),
  );
  return ghost ? { kind: 'ghosts', at: ghost.at, limb: ghost.limb } : null;
}

/** A bass drum in soft quarters, or softer beats: it is felt. */
function featherCue(exercise: Exercise): Cue | null {
  const bass = exercise.strokes.filter(({ limb, voice }) => limb === 'RF' && voice === 'bass');
  const [first] = bass;
  const isSoft = bass.every(({ dynamic, at }) => {
    return (dynamic === 'ghost' || dynamic === 'tap') && onBeat(at, exercise.meter);
  });
  return first && isSoft ? { kind: 'feather', at: first.at } : null;
}

/** Feet that run under the hands: what the hands do leaks in. */
function runningCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const playing = LIMBS.filter((limb) => exercise.strokes.some((one) => one.limb === limb));
  const feet = steadyLimbs(exercise, playing).filter((limb) => !isHand(limb));
  const running = exercise.strokes.filter(({ limb }) => feet.includes(limb));
  const [first] = running;
  const eachMs = (ticksToSeconds(exercise.cycleTicks, tempo) * 1000) / running.length;
  if (!first || eachMs > RUNNING_MS || !playing.some(isHand)) return null;
  const accent = exercise.strokes.find(({ limb, dynamic }) => isHand(limb) && dynamic === 'accent');
  return { kind: 'running', at: accent?.at ?? first.at, hand: accent?.limb ?? null };
}

/** Notes of the feet that come as fast as this are a run. Common practice, no source. */
const RUNNING_MS = 260;

/** One hand that goes through in 16ths or faster: it cramps. */
function looseCue(exercise: Exercise, tempo: Tempo): Cue | null {
  for (const { limb, endless, shortestGapMs } of limbLoads(exercise, tempo)) {
    const mine = exercise.strokes.filter((one) => one.limb === limb);
    const each = mine.length / (exercise.bars * exercise.meter.count);
    const [first] = mine;
    if (isHand(limb) && endless && first && each >= LOOSE_FROM && shortestGapMs < LOOSE_MS) {
      const accents = mine.some(({ dynamic }) => dynamic === 'accent');
      return { kind: 'loose', at: first.at, limb, accents };
    }
  }
  return null;
}

/** So many notes of one hand in a counted note, and so near, and it has to stay loose. Common practice, no source. */
const LOOSE_FROM = 3;
const LOOSE_MS = 200;

/** A softer note of the same hand right after its accent: the stick has to stay down. */
function afterCue(exercise: Exercise, tempo: Tempo): Cue | null {
  for (const limb of LIMBS.filter(isHand)) {
    const mine = movementsOf(exercise, limb, tempo);
    for (const [index, { stroke }] of mine.entries()) {
      const [one, next] = [mine[index], mine[(index + 1) % mine.length]];
      if (!one || !next || stroke.dynamic !== 'accent' || next.stroke.dynamic === 'accent')
        continue;
      if (gapMsBetween(one, next, exercise, tempo) < NEAR_MS) {
        return { kind: 'after', at: stroke.at, limb };
      }
    }
  }
  return null;
}

/** A limb that goes on near its limit. */
function tensionCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const { handRun, footRun } = limitsOf(exercise.kit);
  const near = limbLoads(exercise, tempo).find(({ limb, longestRun, shortestGapMs, endless }) => {
    const limit = isHand(limb) ? handRun : footRun;
    return (endless || longestRun >= LONG_RUN) && shortestGapMs < limit * NEAR_LIMIT;
  });
  return near ? { kind: 'tension', limb: near.limb, rate: near.perSecond } : null;
}

/** Strokes in a row that tire, and how near to its limit a limb tightens. Common practice, no source. */
const LONG_RUN = 8;
const NEAR_LIMIT = 1.3;

/** Back to slower notes after faster ones of the same part: they tend to come too fast. */
function returnCue({ layers }: Exercise): Cue | null {
  for (const { strokes } of layers) {
    let before: Stroke | undefined = strokes.at(-1);
    for (const stroke of strokes) {
      const [was, is] = [before?.slot, stroke.slot];
      before = stroke;
      if (was === undefined || is === undefined || was >= is) continue;
      return { kind: 'return', at: stroke.at, slot: slotId(is), was: slotId(was) };
    }
  }
  return null;
}

function slotId(slot: Tick): SubdivisionId | null {
  return SUBDIVISIONS.find((one) => one.slotTicks === slot)?.id ?? null;
}

/** Two limbs that meet, and elsewhere play without each other: they may come apart. */
function unisonCue(exercise: Exercise): Cue | null {
  let best: PairCount | null = null;
  for (const pair of pairCounts(exercise)) {
    const risky = pair.first > 0 && pair.second > 0;
    if (risky && pair.both > (best?.both ?? 0)) best = pair;
  }
  if (!best) return null;
  const both = LIMB_BITS[best.limbs[0]] | LIMB_BITS[best.limbs[1]];
  const first = instantsOf(exercise).find(({ mask }) => (mask & both) === both);
  return first ? { kind: 'unison', limbs: best.limbs, at: first.at, times: best.both } : null;
}

function gracesCue({ strokes }: Exercise): Cue | null {
  if (!strokes.some((stroke) => gracesOf(stroke).length > 0)) return null;
  return { kind: 'graces' };
}

/** A long silence. */
function bareCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const chain = instantsOf(exercise);
  const [first] = chain;
  if (!first) return null;
  let from = first;
  let longest = 0;
  for (let index = 0; index < chain.length; index += 1) {
    const [one, next] = [chain[index] ?? first, chain[index + 1]];
    const ticks = (next?.soundsTicks ?? first.soundsTicks + exercise.cycleTicks) - one.soundsTicks;
    if (ticks <= longest) continue;
    longest = ticks;
    from = one;
  }
  const ms = ticksToSeconds(longest, tempo) * 1000;
  const beatMs = ticksToSeconds(tempo.beatTicks, tempo) * 1000;
  if (ms < BARE_MS || ms < beatMs * 1.01) return null;
  return { kind: 'bare', beats: Math.round((ms / beatMs) * 100) / 100, at: from.at };
}

/** The most likely to break first. */
const LOOKS: readonly Look[] = [
  opensCue,
  hatCue,
  spokenCue,
  seamCue,
  accentCue,
  tensionCue,
  ghostsCue,
  featherCue,
  runningCue,
  looseCue,
  afterCue,
  followCue,
  returnCue,
  unisonCue,
  gracesCue,
  bareCue,
];
