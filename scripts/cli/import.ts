import { basename } from 'node:path';
import {
  fileChoicesSchema,
  LIKELY_CHOICES,
  likelyChoice,
  readMusic,
  type FileChoices,
  type PlayedGrid,
} from '@/core/format';
import type { FileLook } from '@/core/studio';
import { importFile, lookIntoFile } from '@/server';
import { sayLeft, sayRowsLeft, type Say } from '@/words';
import { bytesFrom, Missing, need, type Io } from './io';
import { SAY } from './say';
import { openStudioOf, sayOf, studentOf, type OnStudio } from './studio';

interface Import extends OnStudio {
  readonly as?: string;
  readonly cut?: string;
  readonly grid?: PlayedGrid;
  readonly student?: string;
  readonly dryRun?: true;
  readonly json?: true;
}

/** Takes a file into a studio, or says what it would bring. */
export function importInto(io: Io, file: string, options: Import): void {
  const me = openStudioOf(options);
  const say = sayOf(me);
  const bytes = bytesFrom(io, file);
  const student = options.student === undefined ? null : studentOf(me, options.student);
  const choices = { ...choicesOf(bytes, options), student };
  const sent = { name: basename(file), bytes };
  const look = need(lookIntoFile(me, sent, choices), file);
  if (options.json) io.out(`${JSON.stringify(look)}\n`);
  else for (const line of linesOf(say, look, student !== null)) io.out(`${line}\n`);
  if (options.dryRun) return;
  const { people, tries, programs, exercises, families, materials } = need(
    importFile(me, sent, choices),
    file,
  );
  const said = say.t('commandLine.cameIn', {
    ...{ programs: programs.length, exercises: exercises.length, families: families.length },
    ...{ materials: materials.length, students: people.length },
    tries: tries.reduce((sum, { ids }) => sum + ids.length, 0),
  });
  io.err(`${said}\n`);
}

/** What a file would bring, line by line.
 * @param isChosen whether somebody was named whose rows are that name nobody */
function linesOf(say: Say, look: FileLook, isChosen: boolean): readonly string[] {
  const { t } = say;
  switch (look.kind) {
    case 'bundle': {
      const { programs, known, students, knownStudents, ...lists } = look.summary;
      const settings = lists.settings.map((one) => t(`imports.setting.${one}`));
      const names = (all: readonly string[]) => all.join(', ') || t('commandLine.brings.none');
      return [
        ...students.map((one) => t('commandLine.brings.studentWithTries', one)),
        ...knownStudents.map((name) => t('commandLine.brings.studentHere', { name })),
        t('commandLine.brings.programs', { names: names(programs.map(({ name }) => name)) }),
        t('commandLine.brings.exercises', { names: names(lists.exercises) }),
        t('commandLine.brings.families', { names: names(lists.families) }),
        ...(known.length > 0 ? [t('commandLine.brings.hereAlready', { names: names(known) })] : []),
        t('commandLine.brings.materials', { names: names(lists.materials) }),
        t('commandLine.brings.settings', { names: names(settings) }),
      ];
    }
    case 'roster':
      return [
        ...look.coming.map(({ name }) => t('commandLine.brings.student', { name })),
        ...look.known.map((name) => t('commandLine.brings.studentHere', { name })),
      ];
    case 'log':
      return [
        ...look.coming.map(({ thenBpm, ...one }) =>
          t('commandLine.brings.tries', { ...one, then: thenBpm }),
        ),
        ...(look.known > 0 ? [t('commandLine.brings.triesHere', { tries: look.known })] : []),
        ...look.left.map((one) => sayRowsLeft(say, one)),
        ...(look.unsaid > 0 && !isChosen
          ? [t('commandLine.brings.unsaid', { rows: look.unsaid })]
          : []),
      ];
    case 'music':
      return look.parts.flatMap(({ name, drafts, count, left }) => [
        ...drafts.map((draft) =>
          t('commandLine.brings.draft', { kind: draft.kind, name: draft.name }),
        ),
        ...(count > drafts.length
          ? [t('commandLine.brings.more', { count: count - drafts.length })]
          : []),
        ...left.map((one) => `${name}: ${sayLeft(say, one)}`),
      ]);
  }
}

function choicesOf(bytes: Uint8Array, { as, cut, grid }: Import): FileChoices {
  const likely: FileChoices = { ...LIKELY_CHOICES, grid: grid ?? null };
  const music = as === undefined && cut === undefined ? null : readMusic(bytes, likely.grid);
  if (!music?.ok) return likely;
  const number = Number(cut);
  const { score } = music.value;
  const parts = score.parts.map((_, part) => ({
    ...likelyChoice(score, part, music.value.grid),
    ...(as !== undefined && { as }),
    ...(cut !== undefined && { cut: Number.isInteger(number) ? number : cut }),
  }));
  const chosen = fileChoicesSchema.safeParse({ ...likely, parts });
  if (chosen.success) return chosen.data;
  throw new Missing(SAY.t('commandLine.noCut', { text: cut ?? '' }));
}
