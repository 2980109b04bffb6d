import type { VoiceId } from '../kit';
import type { Variation } from '../log';
import type { ClosedRecipe, Exercise } from '../recipe';

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

/** The surface that is struck most, on another one that the kit has. */
export function otherSurface({ strokes, kit }: Exercise): Variation | null {
  const counts = new Map<VoiceId, number>();
  for (const stroke of strokes) {
    const voice = stroke.written?.voice ?? stroke.voice;
    if (OTHER_SURFACE[voice]) counts.set(voice, (counts.get(voice) ?? 0) + 1);
  }
  const [from] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  const to = from && OTHER_SURFACE[from]?.find((voice) => kit.voices.includes(voice));
  return from && to ? { kind: 'surface', from, to } : null;
}
