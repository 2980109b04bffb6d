import { Command, CommanderError, Option } from 'commander';
import { DRAFT_KINDS, PLAYED_GRIDS } from '@/core/format';
import { storageIssue } from '@/server';
import { sayIssue } from '@/words';
import { checkFile } from './check';
import { expandFile } from './expand';
import { EXPORTS, exportFrom } from './export';
import { backUpTo, restoreFrom } from './backup';
import { examine } from './doctor';
import { linkFor } from './password';
import { importInto } from './import';
import { Missing, Wrong, type Io } from './io';
import { parseText } from './parse';
import { planOfStudent } from './plan';
import { SAY } from './say';

const EXAMPLE = 'npm run -s mivvel --';

type CommandName =
  | 'expand'
  | 'parse'
  | 'check'
  | 'export'
  | 'import'
  | 'plan'
  | 'backup'
  | 'restore'
  | 'doctor'
  | 'password';

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
      else for (const one of error.issues) io.err(`${where}${sayIssue(SAY, one)}\n`);
      return 1;
    }
    if (error instanceof Missing) {
      io.err(asJson ? `${JSON.stringify({ missing: error.message })}\n` : `${error.message}\n`);
      return 1;
    }
    const said = saidOf(error);
    if (said === null) throw error;
    io.err(`${said}\n`);
    return 1;
  }
}

/** What is no bug of ours, in words: the disk, the studio's file, what is nested without end. */
function saidOf(error: unknown): string | null {
  if (error instanceof RangeError && /call stack/i.test(error.message)) {
    return SAY.t('commandLine.tooDeep');
  }
  const { code, path } = error as { code?: unknown; path?: unknown };
  if (typeof code === 'string' && /^E[A-Z]+$/.test(code) && typeof path === 'string') {
    return SAY.t('commandLine.disk', { file: path, code });
  }
  const issue = storageIssue(error);
  return issue && sayIssue(SAY, issue);
}

function commands(io: Io): Command {
  const { t } = SAY;
  const program = new Command('mivvel')
    .description(t('commandLine.mivvel'))
    .exitOverride()
    .configureOutput({ writeOut: (text) => io.out(text), writeErr: (text) => io.err(text) })
    .addHelpText('after', `\n${t('commandLine.ends')}`);
  const command = (name: CommandName, takes: string, example: string) =>
    program
      .command(`${name} ${takes}`.trim())
      .description(t(`commandLine.does.${name}`))
      .option('--json', t('commandLine.json'))
      .exitOverride()
      .addHelpText(
        'after',
        `\n${t('commandLine.example', { command: `${EXAMPLE} ${name} ${example}` })}`,
      );
  const onStudio = (name: CommandName, takes: string, example: string) =>
    command(name, takes, example)
      .requiredOption(
        '-d, --data <folder>',
        t('commandLine.data'),
        process.env.MIVVEL_DATA ?? '.data',
      )
      .option('--studio <name>', t('commandLine.studio'));

  command('expand', '<file>', 'recipe.json --bpm 90')
    .option('--bpm <bpm>', t('commandLine.expand.bpm'), '60')
    .option('--most <count>', t('commandLine.expand.most'))
    .action((file: string, options: { bpm: string; most?: string }) =>
      expandFile(io, file, options),
    );
  command('parse', '<text>', '"4. 4 8 4"')
    .option('--meter <meter>', t('commandLine.parse.meter'), '4/4')
    .action((text: string, options: { meter: string }) => parseText(io, text, options));
  command('check', '<file>', 'book.musicxml')
    .option('--bpm <bpm>', t('commandLine.expand.bpm'), '60')
    .action((file: string, options: { bpm: string }) => checkFile(io, file, options));
  onStudio('export', '', '--program "Winter" --format pdf --to winter.pdf')
    .addOption(
      new Option('--format <format>', t('commandLine.export.format'))
        .choices(EXPORTS)
        .default('bundle'),
    )
    .option('--program <name>', t('commandLine.export.program'))
    .addOption(
      new Option('--students', t('commandLine.export.students')).conflicts([
        'program',
        'student',
        'from',
      ]),
    )
    .addOption(
      new Option('--student <name>', t('commandLine.export.student')).conflicts([
        'program',
        'from',
      ]),
    )
    .option('--from <file>', t('commandLine.export.from'))
    .option('--bpm <bpm>', t('commandLine.export.bpm'), '60')
    .option('--times <count>', t('commandLine.export.times'), '2')
    .option('--to <file>', t('commandLine.export.to'), '-')
    .action((options: Parameters<typeof exportFrom>[1]) => exportFrom(io, options));
  onStudio('import', '<file>', 'book.musicxml --as line --dry-run')
    .addOption(new Option('--as <kind>', t('commandLine.import.as')).choices(DRAFT_KINDS))
    .option('--cut <where>', t('commandLine.import.cut'))
    .addOption(new Option('--grid <grid>', t('commandLine.import.grid')).choices(PLAYED_GRIDS))
    .option('--student <name>', t('commandLine.import.student'))
    .option('--dry-run', t('commandLine.import.dryRun'))
    .action((file: string, options: Parameters<typeof importInto>[2]) =>
      importInto(io, file, options),
    );
  onStudio('plan', '', '--student Deniz')
    .requiredOption('--student <name>', t('commandLine.plan.student'))
    .action((options: Parameters<typeof planOfStudent>[1]) => planOfStudent(io, options));
  onStudio('backup', '<to>', 'monday.sqlite').action((to: string, options: { data: string }) =>
    backUpTo(io, to, options),
  );
  onStudio('restore', '<from>', 'monday.sqlite').action((from: string, options: { data: string }) =>
    restoreFrom(io, from, options, new Date()),
  );
  onStudio('doctor', '', '-d .data').action((options: { data: string }) =>
    examine(io, options, Date.now()),
  );
  onStudio('password', '<email>', 'ada@example.com').action(
    (email: string, options: { data: string }) => linkFor(io, email, options),
  );
  return program;
}
