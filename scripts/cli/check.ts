import { likelyChoice, draftsOf, readBundle, readMusic } from '@/core/format';
import { close, expand, readRecipe } from '@/core/recipe';
import { hindrances } from '@/core/analysis';
import { parseBpm, tempoFor } from '@/core/time';
import { ENGLISH, sayHindrance, sayImportsIn, sayLeft } from '@/words';
import { bytesFrom, familyFrom, jsonFrom, need, type Io } from './io';

/** Says what is in a file and what is wrong with it. @throws Wrong where it cannot be read, or played */
export function checkFile(io: Io, file: string, options: { readonly bpm: string }): void {
  const bytes = bytesFrom(io, file);
  const here = { ...io, stdin: () => bytes };
  const begins = new TextDecoder().decode(bytes.subarray(0, 100)).trimStart();
  if (!/^[{[]/.test(begins)) return checkMusic(io, bytes, file);
  const json = jsonFrom(here, file);
  const { format, axes } = (json ?? {}) as { format?: unknown; axes?: unknown };
  if (format === 'mivvel') {
    const { materials, exercises, families, programs } = need(
      readBundle(JSON.stringify(json)),
      file,
    );
    io.out(
      `Bundle: ${programs.length} programs, ${exercises.length} exercises, ${families.length} families, ${materials.length} materials.\n`,
    );
  } else if (axes !== undefined) {
    const { size } = familyFrom(json as object, file);
    io.out(`Family: ${size} exercises.\n`);
  } else {
    const recipe = need(close(need(readRecipe(json), file)), file);
    const exercise = need(expand(recipe), file);
    const tempo = tempoFor(exercise.meter, need(parseBpm(options.bpm)));
    io.out(
      `Exercise: ${exercise.bars} bars of ${recipe.meter}, ${exercise.strokes.length} strokes.\n`,
    );
    for (const one of hindrances(exercise, tempo)) {
      const { where, reason, mend } = sayHindrance(ENGLISH, one, exercise);
      io.out(`At ${options.bpm}, ${where}: ${reason} ${mend}\n`);
    }
  }
}

function checkMusic(io: Io, bytes: Uint8Array, file: string): void {
  const { score, grid } = need(readMusic(bytes, null), file);
  const say = sayImportsIn('en-GB');
  score.parts.forEach((part, index) => {
    const { drafts, left } = draftsOf(score, likelyChoice(score, index, grid), grid);
    const name = part.name || `Part ${index + 1}`;
    io.out(
      `${name}: ${part.bars.length} bars, ${drafts.map((one) => one.kind).join(', ') || 'nothing'}.\n`,
    );
    for (const one of left) io.out(`  ${sayLeft(say, one)}\n`);
  });
}
