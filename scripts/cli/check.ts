import { likelyChoice, draftsOf, readBundle, readMusic } from '@/core/format';
import { close, expand, readRecipe } from '@/core/recipe';
import { hindrances } from '@/core/analysis';
import { parseBpm, tempoFor } from '@/core/time';
import { sayHindrance, sayLeft } from '@/words';
import { bytesFrom, familyFrom, jsonFrom, need, type Io } from './io';
import { SAY } from './say';

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
    say({ kind: 'bundle', ...counts }, SAY.t('commandLine.bundleHolds', counts));
  } else if (axes !== undefined) {
    const { size } = familyFrom(json as object, file);
    say({ kind: 'family', size }, SAY.t('commandLine.familyHolds', { size }));
  } else {
    const recipe = need(close(need(readRecipe(json), file)), file);
    const exercise = need(expand(recipe), file);
    const tempo = tempoFor(exercise.meter, need(parseBpm(options.bpm)));
    const { bars, strokes } = exercise;
    const found = hindrances(exercise, tempo);
    const facts = { kind: 'exercise', meter: recipe.meter, bars, strokes: strokes.length };
    say(
      { ...facts, hindrances: found },
      SAY.t('commandLine.exerciseIs', { bars, meter: recipe.meter, strokes: strokes.length }),
      ...found.map((one) => {
        const { where, reason, mend } = sayHindrance(SAY, one, exercise);
        return SAY.t('commandLine.atBpm', { bpm: options.bpm, where, reason, mend });
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
  score.parts.forEach((part, index) => {
    const { drafts, left } = draftsOf(score, likelyChoice(score, index, grid), grid);
    const name = part.name || SAY.t('imports.partNth', { part: index + 1 });
    const kinds = drafts.map((one) => one.kind);
    const bars = part.bars.length;
    say(
      { kind: 'part', name: part.name, bars, comes: kinds, left },
      kinds.length === 0
        ? SAY.t('commandLine.partHoldsNothing', { name, bars })
        : SAY.t('commandLine.partHolds', { name, bars, kinds: kinds.join(', ') }),
      ...left.map((one) => `  ${sayLeft(SAY, one)}`),
    );
  });
}
