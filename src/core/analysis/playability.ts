import { isHand, isStickedHat, limitsOf, LIMBS, type Limb, VOICE_IDS, type VoiceId } from '../kit';
import type { Exercise, LostAnchor } from '../recipe';
import type { Tempo, Tick } from '../time';
import { limbLoads } from './seam';
import {
  gapMsBetween,
  instantsOf,
  LIMB_BITS,
  momentsOf,
  movementsOf,
  soundingVoices,
  voiceBits,
  type Instant,
} from './instants';

/** Something that cannot, or should not, be played as it stands. */
export type Hindrance =
  | {
      readonly rule: 'hat-before-foot';
      readonly at: Tick;
      readonly chickAt: Tick;
      readonly limb: Limb;
      readonly gapMs: number;
      readonly acrossSeam: boolean;
    }
  | {
      readonly rule: 'limb-twice';
      readonly at: Tick;
      readonly limb: Limb;
      readonly voices: readonly VoiceId[];
    }
  | { readonly rule: 'foot-to-foot'; readonly at: Tick; readonly gapMs: number }
  | { readonly rule: 'open-hat-closed'; readonly at: Tick; readonly limb: Limb }
  | {
      readonly rule: 'ghost-after-accent';
      readonly at: Tick;
      readonly limb: Limb;
      readonly gapMs: number;
    }
  | {
      readonly rule: 'fast-run';
      readonly at: Tick;
      readonly limb: Limb;
      readonly strokes: number;
      readonly gapMs: number;
    }
  | { readonly rule: 'voice-missing'; readonly at: Tick; readonly voice: VoiceId }
  | { readonly rule: 'accent-on-rest'; readonly at: Tick }
  | {
      readonly rule: 'anchor-lost';
      readonly at: Tick;
      readonly limb: Limb;
      readonly voice: VoiceId;
      /** How many strokes of the cycle are gone. */
      readonly places: number;
    }
  | {
      readonly rule: 'swung-apart';
      readonly at: Tick;
      readonly gapMs: number;
      /** How many places of the cycle there are like it. */
      readonly places: number;
    };

const FEWEST_OF_A_RUN = 3;

const RIGHT_FOOT = LIMB_BITS.RF;
const LEFT_FOOT = LIMB_BITS.LF;
const HANDS = LIMBS.filter(isHand);

const CHICK = voiceBits(['hat-foot']);
const OPEN_HATS = voiceBits(['hat-open', 'hat-half']);

/** Most places hinder nothing. */
const NONE: Hindrance[] = [];

/** Everything that hinders playing, in order of time. */
export function hindrances(exercise: Exercise, tempo: Tempo): readonly Hindrance[] {
  return [
    ...limbTwice(exercise),
    ...hatBeforeFoot(exercise, tempo),
    ...openHatClosed(exercise),
    ...footToFoot(exercise, tempo),
    ...ghostAfterAccent(exercise, tempo),
    ...fastRuns(exercise, tempo),
    ...missingVoices(exercise),
    ...lostAccents(exercise),
    ...anchorsLost(exercise),
    ...swungApart(exercise, tempo),
  ].sort((a, b) => a.at - b.at);
}

/** A stick on the hi-hat in the event right before a left-foot chick, and nearer than
 * `withinMs` (by default what the kit says), sounds open. The seam is included; stick and foot together
 * are fine. */
export function hatBeforeFoot(
  exercise: Exercise,
  tempo: Tempo,
  withinMs = limitsOf(exercise.kit).hatBeforeFoot,
): readonly Hindrance[] {
  const instants = momentsOf(exercise, tempo);
  if ((soundingVoices(exercise) & CHICK) === 0) return NONE;
  return instants.flatMap((chick, index): Hindrance[] => {
    const foot = chick.strokes.find((stroke) => stroke.voice === 'hat-foot');
    if (!foot) return NONE;
    const before = instants.at(index - 1);
    const stick = before?.strokes.find((stroke) => isStickedHat(stroke.voice));
    if (!before || before === chick || !stick) return [];
    const acrossSeam = index === 0;
    const gapMs = gapMsBetween(before, chick, exercise, tempo);
    if (gapMs >= withinMs) return [];
    const { at, limb } = stick;
    return [{ rule: 'hat-before-foot', at, chickAt: foot.at, limb, gapMs, acrossSeam }];
  });
}

function limbTwice(exercise: Exercise): readonly Hindrance[] {
  if (!instantsOf(exercise).some(({ strokes, limbs }) => strokes.length > limbs.length))
    return NONE;
  return instantsOf(exercise)
    .filter(({ strokes, limbs }) => strokes.length > limbs.length)
    .flatMap(({ at, strokes, limbs }) =>
      limbs.flatMap((limb): Hindrance[] => {
        const voices = strokes.filter((stroke) => stroke.limb === limb).map((s) => s.voice);
        return voices.length > 1 ? [{ rule: 'limb-twice', at, limb, voices }] : [];
      }),
    );
}

/** Bass drum, then the hi-hat foot right after it, whatever the hands play with either. A double pedal is
 * another matter. */
function footToFoot(exercise: Exercise, tempo: Tempo): readonly Hindrance[] {
  if ((soundingVoices(exercise) & CHICK) === 0) return NONE;
  const chain = momentsOf(exercise, tempo);
  const within = limitsOf(exercise.kit).footToFoot;
  return chain.flatMap((one, index): Hindrance[] => {
    const next = chain[(index + 1) % chain.length];
    const bass = (one.mask & RIGHT_FOOT) !== 0 && (one.mask & LEFT_FOOT) === 0;
    if (!next || !bass || !next.strokes.some((stroke) => stroke.voice === 'hat-foot')) return NONE;
    const gapMs = gapMsBetween(one, next, exercise, tempo);
    return gapMs < within ? [{ rule: 'foot-to-foot', at: one.at, gapMs }] : [];
  });
}

/** An open hi-hat cannot ring while the foot closes it. */
function openHatClosed(exercise: Exercise): readonly Hindrance[] {
  if ((soundingVoices(exercise) & OPEN_HATS) === 0) return NONE;
  return instantsOf(exercise).flatMap(({ at, strokes }): Hindrance[] => {
    const open = strokes.find((one) => one.voice === 'hat-open' || one.voice === 'hat-half');
    const closes = strokes.some((one) => one.voice === 'hat-foot');
    return open && closes ? [{ rule: 'open-hat-closed', at, limb: open.limb }] : [];
  });
}

function ghostAfterAccent(exercise: Exercise, tempo: Tempo): readonly Hindrance[] {
  if (!exercise.strokes.some(({ dynamic }) => dynamic === 'accent')) return NONE;
  const within = limitsOf(exercise.kit).ghostAfterAccent;
  return HANDS.flatMap((limb) => {
    const mine = movementsOf(exercise, limb, tempo);
    return mine.flatMap((one, index): Hindrance[] => {
      const next = mine[index + 1] ?? mine[0] ?? one;
      if (one.stroke.dynamic !== 'accent' || next.stroke.dynamic !== 'ghost') return NONE;
      const gapMs = gapMsBetween(one, next, exercise, tempo);
      if (gapMs >= within) return NONE;
      return [{ rule: 'ghost-after-accent', at: next.stroke.at, limb, gapMs }];
    });
  });
}

/** The longest run of each limb whose strokes follow faster than a set gap. */
function fastRuns(exercise: Exercise, tempo: Tempo): readonly Hindrance[] {
  const { handRun, footRun } = limitsOf(exercise.kit);
  return limbLoads(exercise, tempo).flatMap(({ limb, shortestGapMs }): Hindrance[] => {
    const limit = isHand(limb) ? handRun : footRun;
    if (shortestGapMs >= limit) return NONE;
    const mine = movementsOf(exercise, limb, tempo);
    const count = mine.length;
    let best = { at: mine[0]?.stroke.at, strokes: 0, gapMs: 0 };
    let from: Tick | null = null;
    let run = 1;
    for (let step = 0; step < count * 2; step += 1) {
      const one = mine[step % count];
      const next = mine[(step + 1) % count];
      if (!one || !next) continue;
      const gapMs = gapMsBetween(one, next, exercise, tempo);
      if (gapMs >= limit) {
        from = null;
        run = 1;
        continue;
      }
      from ??= one.stroke.at;
      run = Math.min(run + 1, count);
      if (run > best.strokes) best = { at: from, strokes: run, gapMs };
    }
    const { at, strokes, gapMs } = best;
    if (at === undefined || strokes < FEWEST_OF_A_RUN) return NONE;
    return [{ rule: 'fast-run', at, limb, strokes, gapMs }];
  });
}

/** A moved accent that no note can take. */
function lostAccents({ layers }: Exercise): readonly Hindrance[] {
  return layers.flatMap((layer) =>
    (layer.lostAccents ?? []).map((at): Hindrance => ({ rule: 'accent-on-rest', at })),
  );
}

/** Notes of two limbs that are written together, of which a swing moves only one: the first such place, and
 * how many there are. */
function swungApart(exercise: Exercise, tempo: Tempo): readonly Hindrance[] {
  if (exercise.feel.kind !== 'swung') return NONE;
  const seen = new Map<Tick, Instant>();
  let first: Hindrance | null = null;
  let places = 0;
  for (const one of instantsOf(exercise)) {
    const other = seen.get(one.at);
    seen.set(one.at, one);
    if (!other) continue;
    places += 1;
    const gapMs = gapMsBetween(other, one, exercise, tempo);
    first ??= { rule: 'swung-apart', at: one.at, gapMs, places: 1 };
  }
  return first ? [{ ...first, places }] : NONE;
}

function missingVoices(exercise: Exercise): readonly Hindrance[] {
  const { voices } = exercise.kit;
  if (voices.length === VOICE_IDS.length) return NONE;
  const seen = new Set<VoiceId>(voices);
  return exercise.strokes.flatMap((stroke): Hindrance[] => {
    if (seen.has(stroke.voice) || !isHand(stroke.limb)) return [];
    seen.add(stroke.voice);
    return [{ rule: 'voice-missing', at: stroke.at, voice: stroke.voice }];
  });
}

/** What must keep going and does not: one for each part that stopped, at its first stroke. */
function anchorsLost({ lostAnchors }: Exercise): readonly Hindrance[] {
  const isSame = (a: LostAnchor, b: LostAnchor) => a.limb === b.limb && a.voice === b.voice;
  return lostAnchors.flatMap((one, index): Hindrance[] => {
    const first = lostAnchors.findIndex((other) => isSame(other, one));
    if (first !== index) return NONE;
    const places = lostAnchors.filter((other) => isSame(other, one)).length;
    return [{ rule: 'anchor-lost', ...one, places }];
  });
}
