import { difficultyPoints, readBack } from '@/core/analysis';
import { expand, recipeHash, soundsAt } from '@/core/recipe';
import { parseBpm, tempoFor } from '@/core/time';
import { saySentence } from '@/words';
import { Missing, need, type Io } from './io';
import { recipesIn } from './recipes-in';
import { SAY } from './say';

/** Writes each exercise of a file as a line of JSON: its sentence, its strokes, and all that is read back of it.
 * @param options `most` ends a family early */
export function expandFile(
  io: Io,
  file: string,
  options: { readonly bpm: string; readonly most?: string },
): void {
  const bpm = need(parseBpm(options.bpm));
  const most = options.most === undefined ? Infinity : Number(options.most);
  if (Number.isNaN(most) || most < 0) {
    throw new Missing(SAY.t('commandLine.noNumber', { text: options.most ?? '' }));
  }
  let count = 0;
  for (const { name, recipe } of recipesIn(io, file)) {
    if (count >= most) return;
    count += 1;
    const exercise = need(expand(recipe), name);
    const tempo = tempoFor(exercise.meter, bpm);
    const { difficulty, ...read } = readBack(exercise, tempo);
    const line = {
      ...{ name, hash: recipeHash(recipe), sentence: saySentence(SAY, recipe) },
      ...{ meter: recipe.meter, bars: exercise.bars, cycleTicks: exercise.cycleTicks, bpm },
      strokes: exercise.strokes.map((stroke) => ({
        ...{ at: stroke.at, sounds: soundsAt(stroke, exercise), limb: stroke.limb },
        ...{ voice: stroke.voice, dynamic: stroke.dynamic, from: stroke.from.source },
        ...(stroke.ornament && { ornament: stroke.ornament }),
        ...(stroke.texture && { texture: stroke.texture }),
        ...(stroke.tail && { tail: true }),
      })),
      difficulty: { points: difficultyPoints(difficulty), parts: difficulty },
      ...read,
      recipe,
    };
    io.out(`${JSON.stringify(line)}\n`);
  }
}
