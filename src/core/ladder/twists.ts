import { hindrances } from '../analysis';
import { formatMeter, type Tempo } from '../time';
import type { Variation } from '../log';
import { neighboursOf } from '../path';
import { expand, type ClosedRecipe, type Exercise } from '../recipe';
import { otherSurface, usualTwist } from './usual-twist';

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
