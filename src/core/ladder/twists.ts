import { hindrances } from '../analysis';
import { formatMeter, type Tempo } from '../time';
import type { VoiceId } from '../kit';
import type { Variation } from '../log';
import { neighboursOf } from '../path';
import { expand, type ClosedRecipe, type Exercise } from '../recipe';

/** Where a surface goes for a change: common practice, no source. */
const OTHER_SURFACE: Partial<Readonly<Record<VoiceId, readonly VoiceId[]>>> = {
  hat: ['ride', 'tom-floor'],
  ride: ['hat', 'ride-bell'],
  'ride-bell': ['ride'],
  snare: ['tom-high', 'cross-stick'],
};

/** The twist that is proposed first: a sticking with the other hand leading, a line displaced, a groove on
 * another surface. */
export function usualTwist({ play }: ClosedRecipe, exercise: Exercise): Variation | null {
  if (!play) return otherSurface(exercise);
  return 'sticking' in play.content ? { kind: 'other-lead' } : { kind: 'displaced' };
}

/** All that can make an exercise new once it is easy, the usual one first: displaced, the other hand leading,
 * another surface, one note more. */
export function twistsOf(
  recipe: ClosedRecipe,
  exercise: Exercise,
  tempo: Tempo,
): readonly Variation[] {
  const all: (Variation | null)[] = [
    usualTwist(recipe, exercise),
    recipe.play ? { kind: 'displaced' } : null,
    otherSurface(exercise),
    oneMore(recipe, exercise, tempo),
  ];
  const kinds = new Set<Variation['kind']>();
  return all.filter((one): one is Variation => {
    if (one === null || kinds.has(one.kind)) return false;
    kinds.add(one.kind);
    return true;
  });
}

/** The surface that is struck most, on another one that the kit has. */
function otherSurface({ strokes, kit }: Exercise): Variation | null {
  const counts = new Map<VoiceId, number>();
  for (const stroke of strokes) {
    const voice = stroke.written?.voice ?? stroke.voice;
    if (OTHER_SURFACE[voice]) counts.set(voice, (counts.get(voice) ?? 0) + 1);
  }
  const [from] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  const to = from && OTHER_SURFACE[from]?.find((voice) => kit.voices.includes(voice));
  return from && to ? { kind: 'surface', from, to } : null;
}

/** The note that makes it a little harder and breaks nothing: of all that can be added, the one that adds least,
 * the bass drum before others. */
function oneMore(recipe: ClosedRecipe, exercise: Exercise, tempo: Tempo): Variation | null {
  const broken = hindrances(exercise, tempo).length;
  const found = neighboursOf(recipe, exercise, tempo)
    .filter((one) => one.kind === 'added' && one.harder > 0)
    .sort((a, b) => Number(b.voice === 'bass') - Number(a.voice === 'bass') || a.harder - b.harder);
  for (const { recipe: next, to, voice } of found) {
    const made = expand(next);
    if (!made.ok || hindrances(made.value, tempo).length > broken) continue;
    const stroke = made.value.strokes.find((one) => one.at === to && one.voice === voice);
    if (!stroke) continue;
    const { limb, voice: written } = stroke.written ?? stroke;
    const meter = formatMeter(exercise.meter);
    return { kind: 'more', limb, voice: written, at: stroke.at, meter };
  }
  return null;
}
