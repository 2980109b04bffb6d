import { likelyChoice, draftsOf, readBundle, readMusic } from '@/core/format';
import { close, expand, readRecipe } from '@/core/recipe';
import { hindrances } from '@/core/analysis';
import { parseBpm, tempoFor } from '@/core/time';
import { ENGLISH, sayHindrance, sayImportsIn, sayLeft } from '@/words';
import { bytesFrom, familyFrom, jsonFrom, need, type Io } from './io';

interface Asked {
  readonly bpm: string;
  readonly json?: true;
}

/** Says what is in a file and what is wrong with it. @throws Wrong where it cannot be read, or played */
export function checkFile(io: Io, file: string, options: Asked): void {
  const bytes = bytesFrom(io, file);
  const here = { ...io, stdin: () => bytes };
  const begins = new TextDecoder().decode(bytes.subarray(0, 100)).trimStart();
  const say = (facts: object, ...lines: readonly string[]) => {
    if (options.json) io.out(`${JSON.stringify(facts)}\n`);
    else for (const line of lines) io.out(`${line}\n`);
  };
  if (!/^[{[]/.test(begins)) return checkMusic(say, bytes, file);
  const json = jsonFrom(here, file);
  const { format, axes } = (json ?? {}) as { format?: unknown; axes?: unknown };
  if (format === 'mivvel') {
    const { materials, exercises, families, programs, students } = need(
      readBundle(JSON.stringify(json)),
      file,
    );
    const counts = {
      programs: programs.length,
      exercises: exercises.length,
      families: families.length,
      materials: materials.length,
      students: students.length,
    };
    const said = Object.entries(counts).map(([what, count]) => `${count} ${what}`);
    say({ kind: 'bundle', ...counts }, `Bundle: ${said.join(', ')}.`);
  } else if (axes !== undefined) {
    const { size } = familyFrom(json as object, file);
    say({ kind: 'family', size }, `Family: ${size} exercises.`);
  } else {
    const recipe = need(close(need(readRecipe(json), file)), file);
    const exercise = need(expand(recipe), file);
    const tempo = tempoFor(exercise.meter, need(parseBpm(options.bpm)));
    const { bars, strokes } = exercise;
    const found = hindrances(exercise, tempo);
    const facts = { kind: 'exercise', meter: recipe.meter, bars, strokes: strokes.length };
    say(
      { ...facts, hindrances: found },
      `Exercise: ${bars} bars of ${recipe.meter}, ${strokes.length} strokes.`,
      ...found.map((one) => {
        const { where, reason, mend } = sayHindrance(ENGLISH, one, exercise);
        return `At ${options.bpm}, ${where}: ${reason} ${mend}`;
      }),
    );
  }
}

function checkMusic(
  say: (facts: object, ...lines: readonly string[]) => void,
  bytes: Uint8Array,
  file: string,
): void {
  const { score, grid } = need(readMusic(bytes, null), file);
  const words = sayImportsIn('en-GB');
  score.parts.forEach((part, index) => {
    const { drafts, left } = draftsOf(score, likelyChoice(score, index, grid), grid);
    const name = part.name || `Part ${index + 1}`;
    const kinds = drafts.map((one) => one.kind);
    say(
      { kind: 'part', name: part.name, bars: part.bars.length, comes: kinds, left },
      `${name}: ${part.bars.length} bars, ${kinds.join(', ') || 'nothing'}.`,
      ...left.map((one) => `  ${sayLeft(words, one)}`),
    );
  });
}
