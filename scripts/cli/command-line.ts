import { Command, CommanderError, Option } from 'commander';
import { DRAFT_KINDS, PLAYED_GRIDS } from '@/core/format';
import { ENGLISH, sayIssue } from '@/words';
import { checkFile } from './check';
import { expandFile } from './expand';
import { backUpTo, EXPORTS, exportFrom, importInto, planOfStudent, restoreFrom } from './files';
import { Missing, Wrong, type Io } from './io';
import { parseText } from './parse';
import { DATA, DATA_HELP, STUDIO, STUDIO_HELP } from './studio';

const EXAMPLE = 'npm run -s mivvel --';

/** @returns 0; 1 where what was given is wrong; 2 where the command was */
export async function runCommandLine(io: Io, words: readonly string[]): Promise<0 | 1 | 2> {
  const program = commands(io);
  try {
    await program.parseAsync([...words], { from: 'user' });
    return 0;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    const asJson = words.includes('--json');
    if (error instanceof Wrong) {
      const where = error.where === '' ? '' : `${error.where}: `;
      if (asJson) io.err(`${JSON.stringify({ file: error.where, issues: error.issues })}\n`);
      else for (const one of error.issues) io.err(`${where}${sayIssue(ENGLISH, one)}\n`);
      return 1;
    }
    if (error instanceof Missing) {
      io.err(asJson ? `${JSON.stringify({ missing: error.message })}\n` : `${error.message}\n`);
      return 1;
    }
    throw error;
  }
}

function commands(io: Io): Command {
  const program = new Command('mivvel')
    .description('Works on exercises, files and studios from the command line.')
    .exitOverride()
    .configureOutput({ writeOut: (text) => io.out(text), writeErr: (text) => io.err(text) })
    .addHelpText(
      'after',
      '\nEnds with 0; with 1 where what was given is wrong; with 2 where the command was.',
    );
  const command = (name: string, says: string, example: string) =>
    program
      .command(name)
      .description(says)
      .option('--json', 'what is wrong, and what is found in words otherwise, as JSON')
      .exitOverride()
      .addHelpText('after', `\nExample:\n  ${EXAMPLE} ${example}`);
  const onStudio = (name: string, says: string, example: string) =>
    command(name, says, example)
      .requiredOption(DATA, DATA_HELP, process.env.MIVVEL_DATA ?? '.data')
      .option(STUDIO, STUDIO_HELP);

  command(
    'expand <file>',
    'A recipe, a family or a bundle: each exercise with strokes and analysis as a line of JSON. - is standard input.',
    'expand recipe.json --bpm 90',
  )
    .option('--bpm <bpm>', 'tempo for what depends on it', '60')
    .option('--most <count>', 'stops after so many exercises')
    .action((file: string, options: { bpm: string; most?: string }) =>
      expandFile(io, file, options),
    );
  command(
    'parse <text>',
    'What a typed text may mean, a line of JSON for each. - is standard input.',
    'parse "4. 4 8 4"',
  )
    .option('--meter <meter>', 'meter that it is typed in', '4/4')
    .action((text: string, options: { meter: string }) => parseText(io, text, options));
  command(
    'check <file>',
    'What is in a file, and what is wrong with it: JSON, MusicXML, MIDI.',
    'check book.musicxml',
  )
    .option('--bpm <bpm>', 'tempo for what depends on it', '60')
    .action((file: string, options: { bpm: string }) => checkFile(io, file, options));
  onStudio(
    'export',
    'A program, or the exercises of a file, as a file; without either the whole studio as a bundle.',
    'export --program "Winter" --format pdf --to winter.pdf',
  )
    .addOption(
      new Option('--format <format>', 'what it is written as').choices(EXPORTS).default('bundle'),
    )
    .option('--program <name>', 'which program')
    .option('--students', 'the studio with its students and their logs')
    .option('--student <name>', 'one student with their programs and log')
    .option('--from <file>', 'exercises of a file instead: a recipe, a family or a bundle')
    .option('--bpm <bpm>', 'their tempo', '60')
    .option('--times <count>', 'how often each exercise sounds in a WAV file', '2')
    .option('--to <file>', 'where it is written; - is standard output', '-')
    .action((options: Parameters<typeof exportFrom>[1]) => exportFrom(io, options));
  onStudio(
    'import <file>',
    'Takes a bundle, MusicXML, MIDI, or a table of students or tries into a studio, whole or not at all.',
    'import book.musicxml --as line --dry-run',
  )
    .addOption(new Option('--as <kind>', 'what its parts become').choices(DRAFT_KINDS))
    .option('--cut <where>', 'signs, whole, or every so many bars')
    .addOption(new Option('--grid <grid>', 'what played notes are put on').choices(PLAYED_GRIDS))
    .option('--student <name>', 'whose a log is that does not say so')
    .option('--dry-run', 'says what it would bring, and brings nothing')
    .action((file: string, options: Parameters<typeof importInto>[2]) =>
      importInto(io, file, options),
    );
  onStudio('plan', 'The dates of a student’s plan.', 'plan --student Deniz')
    .requiredOption('--student <name>', 'whose plan')
    .action((options: Parameters<typeof planOfStudent>[1]) => planOfStudent(io, options));
  onStudio(
    'backup <to>',
    'Copies the studio’s file, which may be in use.',
    'backup monday.sqlite',
  ).action((to: string, options: { data: string }) => backUpTo(io, to, options));
  onStudio(
    'restore <from>',
    'Puts a backup in the place of the studio’s file, which is kept beside it.',
    'restore monday.sqlite',
  ).action((from: string, options: { data: string }) => restoreFrom(io, from, options, new Date()));
  return program;
}
