import { difficultyPoints, readBack } from '@/core/analysis';
import { memberAt, memberKey, memberRecipe } from '@/core/family';
import { readBundle } from '@/core/format';
import { itemsOf } from '@/core/program';
import { close, expand, readRecipe, recipeHash, soundsAt, type ClosedRecipe } from '@/core/recipe';
import { parseBpm, tempoFor } from '@/core/time';
import { ENGLISH, saySentence } from '@/words';
import { familyFrom, jsonFrom, Missing, need, type Io } from './io';

interface Named {
  readonly name: string;
  readonly recipe: ClosedRecipe;
}

/** Writes each exercise of a file as a line of JSON: its sentence, its strokes, and all that is read back of it.
 * @param options `most` ends a family early */
export function expandFile(
  io: Io,
  file: string,
  options: { readonly bpm: string; readonly most?: string },
): void {
  const bpm = need(parseBpm(options.bpm));
  const most = options.most === undefined ? Infinity : Number(options.most);
  if (Number.isNaN(most)) throw new Missing(`--most ${options.most} is no number.`);
  let count = 0;
  for (const { name, recipe } of recipesIn(io, file)) {
    if (count >= most) return;
    count += 1;
    const exercise = need(expand(recipe), name);
    const tempo = tempoFor(exercise.meter, bpm);
    const { difficulty, ...read } = readBack(exercise, tempo);
    const line = {
      ...{ name, hash: recipeHash(recipe), sentence: saySentence(ENGLISH, recipe) },
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

/** A recipe, a family (`base` and `axes`), or everything in a bundle. */
function* recipesIn(io: Io, file: string): Generator<Named> {
  const json = jsonFrom(io, file);
  const { format, axes } = (json ?? {}) as { format?: unknown; axes?: unknown };
  if (format === 'mivvel') {
    const bundle = need(readBundle(JSON.stringify(json)), file);
    yield* bundle.exercises;
    for (const { outline, recipes } of bundle.programs) {
      for (const { id, name } of itemsOf(outline)) {
        const recipe = recipes[id];
        if (recipe) yield { name, recipe };
      }
    }
  } else if (axes !== undefined) {
    const family = familyFrom(json as object, file);
    for (let index = 0; index < family.size; index += 1) {
      const member = memberAt(family, index);
      yield { name: memberKey(family, member), recipe: memberRecipe(family, member) };
    }
  } else yield { name: '', recipe: need(close(need(readRecipe(json), file)), file) };
}
