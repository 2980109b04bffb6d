import { isHand, limbName, LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { countName, onBeat, ticksToSeconds, type Syllables, type Tempo } from '../time';
import { instantsOf, LIMB_BITS } from './instants';
import { seamOf } from './seam';

/** One thing to watch for, said to the player. */
export interface Cue {
  readonly kind: 'seam' | 'accent' | 'follow' | 'unison' | 'bare';
  readonly says: string;
}

/** Most cues that help; more are not listened to. Common practice, no source. */
const MOST = 3;

/** Fewer instants to the bar than this tend to be rushed. Common practice, no source. */
const BARE = 4;

/** Neighbours nearer than this can pull a limb along. Common practice, no source. */
const NEAR_MS = 400;

/** One to three things to watch for, the most likely to break first. */
export function cuesOf(exercise: Exercise, tempo: Tempo, syllables?: Syllables): readonly Cue[] {
  return [
    seamCue(exercise, tempo),
    accentCue(exercise, syllables),
    followCue(exercise, tempo),
    unisonCue(exercise),
    bareCue(exercise),
  ]
    .filter((cue) => cue !== null)
    .slice(0, MOST);
}

function seamCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const seam = seamOf(exercise, tempo);
  const [limb] = seam?.doubled.filter(isHand) ?? [];
  if (!limb || (seam?.gapMs ?? 0) > NEAR_MS) return null;
  return { kind: 'seam', says: `The ${limbName(limb)} plays on both sides of the repeat.` };
}

/** An accent off the beat wants to go back to the beat. */
function accentCue(exercise: Exercise, syllables?: Syllables): Cue | null {
  const off = exercise.strokes.find(
    ({ at, dynamic }) => dynamic === 'accent' && !onBeat(at, exercise.meter),
  );
  if (!off) return null;
  const place = countName(off.at, exercise.meter, syllables);
  return { kind: 'accent', says: `The accent on ${place} tends to creep back to the beat.` };
}

const HANDS_AND_FEET: readonly (readonly [Limb, Limb])[] = LIMBS.filter(isHand).flatMap((hand) =>
  LIMBS.filter((limb) => !isHand(limb)).map((foot) => [hand, foot] as const),
);

/** A hand and a foot that alternate closely: the one tends to follow the other. */
function followCue(exercise: Exercise, tempo: Tempo): Cue | null {
  const chain = instantsOf(exercise);
  let best: { hand: Limb; foot: Limb; times: number } | null = null;
  for (const [hand, foot] of HANDS_AND_FEET) {
    const both = LIMB_BITS[hand] | LIMB_BITS[foot];
    let times = 0;
    chain.forEach(({ at, mask }, index) => {
      const next = chain[(index + 1) % chain.length];
      if ((mask & both) !== LIMB_BITS[foot] || !next) return;
      if ((next.mask & both) !== LIMB_BITS[hand]) return;
      const gap = next.at - at + (next.at <= at ? exercise.cycleTicks : 0);
      if (ticksToSeconds(gap, tempo) * 1000 < NEAR_MS) times += 1;
    });
    if (times > 0 && (best === null || times > best.times)) best = { hand, foot, times };
  }
  if (!best) return null;
  const says = `The ${limbName(best.foot)} tends to follow the ${limbName(best.hand)}: keep its notes apart.`;
  return { kind: 'follow', says };
}

function unisonCue(exercise: Exercise): Cue | null {
  const times = new Map<number, { limbs: readonly Limb[]; count: number }>();
  for (const { mask, limbs } of instantsOf(exercise)) {
    if (limbs.length < 2) continue;
    const set = times.get(mask);
    if (set) set.count += 1;
    else times.set(mask, { limbs, count: 1 });
  }
  const [first, ...others] = times.values();
  if (!first) return null;
  const most = others.reduce((best, one) => (one.count > best.count ? one : best), first);
  const names = most.limbs.map(limbName).join(' and ');
  return { kind: 'unison', says: `Keep ${names} together, without a flam.` };
}

function bareCue(exercise: Exercise): Cue | null {
  const each = instantsOf(exercise).length / exercise.bars;
  if (each > BARE) return null;
  return { kind: 'bare', says: 'So few notes get rushed: keep counting.' };
}
