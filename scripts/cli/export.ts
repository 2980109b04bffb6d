import { existsSync } from 'node:fs';
import { basename, join } from 'node:path';
import {
  FORMATS,
  fileChoicesSchema,
  LIKELY_CHOICES,
  likelyChoice,
  piecesOf,
  readMusic,
  type FileChoices,
  writeBundle,
  type FormatId,
  type Piece,
  type PlayedGrid,
} from '@/core/format';
import { USUAL_LOOK } from '@/core/print';
import { expand } from '@/core/recipe';
import { parseBpm } from '@/core/time';
import { planDays } from '@/core/plan';
import { backUp, restore } from '@/db';
import {
  exportProgram,
  exportStudent,
  exportStudio,
  getPlan,
  getProgram,
  getSpeech,
  importFile,
  lookIntoFile,
  makeSheets,
  planSheets,
  type Teacher,
} from '@/server';
import {
  ENGLISH,
  sayImportsIn,
  sayLeft,
  sayMinutes,
  sayOnPaperIn,
  sayRowsLeft,
  saySentence,
} from '@/words';
import { bytesFrom, Missing, need, writeTo, Wrong, type Io } from './io';
import { recipesIn } from './recipes-in';
import { openStudioOf, programOf, studentOf, type OnStudio } from './studio';

/** What programs can be written as. */
export const EXPORTS = [...Object.keys(FORMATS), 'pdf', 'wav', 'bundle'] as const;

interface Export extends OnStudio {
  readonly format: FormatId | 'pdf' | 'wav' | 'bundle';
  readonly program?: string;
  /** Who goes into a bundle, with their log; or everybody. */
  readonly student?: string;
  readonly students?: true;
  /** A file of exercises, which needs no studio. */
  readonly from?: string;
  /** Of what comes from a file; digits. */
  readonly bpm: string;
  /** How often each exercise sounds; digits. */
  readonly times: string;
  readonly to: string;
}

/** Writes a program, or the exercises of a file, in a format; without either the whole studio as a bundle. */
export async function exportFrom(io: Io, options: Export): Promise<void> {
  if (options.from !== undefined) return exportRecipes(io, options.from, options);
  const me = openStudioOf(options);
  if (options.program === undefined) {
    if (options.format !== 'bundle') throw new Missing('Say which program with --program.');
    const whole = () => exportStudio(me, options.students === true);
    const { student } = options;
    const one = student === undefined ? whole() : exportStudent(me, studentOf(me, student));
    writeTo(io, options.to, need(one));
    return;
  }
  const program = programOf(me, options.program);
  const { format, times } = options;
  if (format === 'pdf') writeTo(io, options.to, await pdfOf(me, program));
  else if (format === 'wav') {
    const { outline, recipes } = need(getProgram(me, program));
    const pieces = need(piecesOf(outline, recipes, () => ''));
    writeTo(io, options.to, await wavOf(pieces, times));
  } else writeTo(io, options.to, need(exportProgram(me, program, format, sayOf(me))));
}

async function exportRecipes(
  io: Io,
  from: string,
  { format, bpm: typed, times, to }: Export,
): Promise<void> {
  const bpm = need(parseBpm(typed));
  const named = [...recipesIn(io, from)];
  const title = basename(from).replace(/\.\w+$/, '');
  if (format === 'bundle') {
    const exercises = named.map(({ name, recipe }) => ({ name: name || title, recipe }));
    return writeTo(io, to, writeBundle({ exercises }));
  }
  if (format === 'pdf')
    throw new Missing('A sheet is made of a program: say which with --program.');
  const pieces = named.map(({ name, recipe }) => ({
    ...{ name: name || title, says: saySentence(ENGLISH, recipe), bpm },
    exercise: need(expand(recipe), name),
  }));
  writeTo(
    io,
    to,
    format === 'wav' ? await wavOf(pieces, times) : FORMATS[format].write(title, pieces),
  );
}

async function wavOf(pieces: readonly Piece[], typed: string): Promise<Uint8Array> {
  const times = Number(typed);
  if (!Number.isInteger(times) || times < 1) {
    throw new Missing(`--times ${typed} is no whole number from 1 up.`);
  }
  // What sounds is loaded where something is to sound.
  const { wavOfPieces } = await import('./sound');
  return wavOfPieces(pieces, times);
}

function sayOf(me: Teacher) {
  return sayOnPaperIn('en-GB', getSpeech(me));
}

async function pdfOf(me: Teacher, program: ReturnType<typeof programOf>): Promise<Uint8Array> {
  const say = sayOf(me);
  const planned = need(planSheets(me, say, { kind: 'program', program }));
  for await (const line of makeSheets(say, USUAL_LOOK, planned, 'pdf')) {
    if ('issues' in line) throw new Wrong(line.issues);
    if ('pdf' in line) return Buffer.from(line.pdf, 'base64');
  }
  throw new Error('no file was made');
}

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
  const bytes = bytesFrom(io, file);
  const student = options.student === undefined ? null : studentOf(me, options.student);
  const choices = { ...choicesOf(bytes, options), student };
  const sent = { name: basename(file), bytes };
  const look = need(lookIntoFile(me, sent, choices), file);
  if (options.json) io.out(`${JSON.stringify(look)}\n`);
  else if (look.kind === 'bundle') {
    const { programs, exercises, known, families, materials, students } = look.summary;
    for (const { name, tries } of students) io.out(`student: ${name}, ${tries} tries\n`);
    for (const name of look.summary.knownStudents) io.out(`student here already: ${name}\n`);
    io.out(`Programs: ${programs.map(({ name }) => name).join(', ') || 'none'}\n`);
    io.out(`Exercises: ${exercises.join(', ') || 'none'}\n`);
    io.out(`Families: ${families.join(', ') || 'none'}\n`);
    if (known.length > 0) io.out(`Here already: ${known.join(', ')}\n`);
    io.out(`Materials: ${materials.join(', ') || 'none'}\n`);
  } else if (look.kind === 'roster') {
    for (const { name } of look.coming) io.out(`student: ${name}\n`);
    for (const name of look.known) io.out(`here already: ${name}\n`);
  } else if (look.kind === 'log') {
    const say = sayImportsIn('en-GB', getSpeech(me));
    for (const { student, exercise, tries, from, to, bpm, thenBpm } of look.coming) {
      io.out(
        `${student}: ${exercise}: ${tries} tries, ${from} – ${to}, ladder ${bpm} → ${thenBpm}\n`,
      );
    }
    if (look.known > 0) io.out(`here already: ${look.known} tries\n`);
    for (const one of look.left) io.out(`${sayRowsLeft(say, one)}\n`);
    if (look.unsaid > 0 && choices.student === null) {
      io.out(`${look.unsaid} rows say no student: say whose they are with --student\n`);
    }
  } else {
    const say = sayImportsIn('en-GB', getSpeech(me));
    for (const { name, drafts, count, left } of look.parts) {
      for (const draft of drafts) io.out(`${draft.kind}: ${draft.name}\n`);
      if (count > drafts.length) io.out(`and ${count - drafts.length} more\n`);
      for (const one of left) io.out(`${name}: ${sayLeft(say, one)}\n`);
    }
  }
  if (options.dryRun) return;
  const { people, materials, exercises, families, programs, tries } = need(
    importFile(me, sent, choices),
    file,
  );
  const counts = [
    `${programs.length} programs`,
    `${exercises.length} exercises`,
    `${families.length} families`,
    `${materials.length} materials`,
    `${people.length} students`,
    `${tries.reduce((sum, { ids }) => sum + ids.length, 0)} tries`,
  ];
  io.err(`Came in: ${counts.join(', ')}.\n`);
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
  throw new Missing(`--cut ${cut} is none of signs, whole and a number of bars.`);
}

/** Writes the dates of a student's plan, a line each. */
export function planOfStudent(
  io: Io,
  options: OnStudio & { readonly student: string; readonly json?: true },
): void {
  const me = openStudioOf(options);
  const say = sayOf(me);
  const { planning } = need(getPlan(me, studentOf(me, options.student)));
  for (const { day, seconds, entries } of planDays(planning).days) {
    const of = [...new Set(entries.flatMap(({ work }) => planning.works[work]?.name ?? []))];
    if (options.json) io.out(`${JSON.stringify({ day, seconds, exercises: of })}\n`);
    else io.out(`${day}  ${sayMinutes(say, seconds)}  ${of.join(', ')}\n`);
  }
}

/** Copies the studio's file, which may be in use. */
export async function backUpTo(io: Io, to: string, { data }: OnStudio): Promise<void> {
  const file = join(data, 'mivvel.sqlite');
  if (!existsSync(file))
    throw new Missing(`${data} holds no mivvel.sqlite. Give the folder of a studio with --data.`);
  if (existsSync(to)) throw new Missing(`${to} is there already. Give the path of a new file.`);
  await backUp(file, to);
  io.err(`Backed up to ${to}.\n`);
}

/** Puts a backup in the place of the studio's file. */
export async function restoreFrom(
  io: Io,
  from: string,
  { data }: OnStudio,
  now: Date,
): Promise<void> {
  if (!existsSync(from)) throw new Missing(`${from} is not there.`);
  const kept = `mivvel.before-${now.toISOString().replace(/[:.]/g, '-')}.sqlite`;
  need(await restore(from, data, kept), from);
  const was = existsSync(join(data, kept)) ? ` What was there is kept as ${join(data, kept)}.` : '';
  io.err(`Restored from ${from}.${was}\n`);
}
