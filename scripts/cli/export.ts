import { basename } from 'node:path';
import { FORMATS, piecesOf, writeBundle, type FormatId, type Piece } from '@/core/format';
import { USUAL_LOOK } from '@/core/print';
import { expand } from '@/core/recipe';
import { dayOf } from '@/core/studio';
import { parseBpm } from '@/core/time';
import {
  exportProgram,
  exportStudent,
  exportStudio,
  getProgram,
  makeSheets,
  planExercises,
  planSheets,
  type Teacher,
} from '@/server';
import { saySentence, type Say } from '@/words';
import { Missing, need, writeTo, Wrong, type Io } from './io';
import { recipesIn, type Named } from './recipes-in';
import { SAY } from './say';
import { openStudioOf, programOf, sayOf, studentOf, type OnStudio } from './studio';

/** What programs can be written as. */
export const EXPORTS = [...Object.keys(FORMATS), 'pdf', 'wav', 'bundle'] as const;

/** Most exercises of a file that are written at once; a family can hold millions. */
const MOST_EXERCISES = 2000;

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
    if (options.format !== 'bundle') throw new Missing(SAY.t('commandLine.sayProgram'));
    const whole = () => exportStudio(me, options.students === true);
    const { student } = options;
    const one = student === undefined ? whole() : exportStudent(me, studentOf(me, student));
    writeTo(io, options.to, need(one));
    return;
  }
  const program = programOf(me, options.program);
  const { format, times } = options;
  if (format === 'pdf') writeTo(io, options.to, await programPdf(me, program));
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
  const named: Named[] = [];
  for (const one of recipesIn(io, from)) {
    if (named.length === MOST_EXERCISES) {
      throw new Missing(SAY.t('commandLine.tooMany', { file: from, most: MOST_EXERCISES }));
    }
    named.push(one);
  }
  const title = basename(from).replace(/\.\w+$/, '');
  if (format === 'bundle') {
    const exercises = named.map(({ name, recipe }) => ({ name: name || title, recipe }));
    return writeTo(io, to, writeBundle({ exercises }));
  }
  if (format === 'pdf') {
    const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
    const entries = named.map(({ name, recipe }) => ({ name: name || title, recipe }));
    const what = { kind: 'exercises', title, entries, bpm } as const;
    const sheet = planExercises(dayOf(Date.now(), timeZone), what);
    return writeTo(io, to, await pdfOf(SAY, sheet));
  }
  const pieces = named.map(({ name, recipe }) => ({
    ...{ name: name || title, says: saySentence(SAY, recipe), bpm },
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
    throw new Missing(SAY.t('commandLine.noTimes', { text: typed }));
  }
  // What sounds is loaded where something is to sound.
  const { wavOfPieces } = await import('./sound');
  return wavOfPieces(pieces, times);
}

type Sheets = Parameters<typeof makeSheets>[2];

async function pdfOf(say: Say, planned: Sheets): Promise<Uint8Array> {
  for await (const line of makeSheets(say, USUAL_LOOK, planned, 'pdf')) {
    if ('issues' in line) throw new Wrong(line.issues);
    if ('pdf' in line) return Buffer.from(line.pdf, 'base64');
  }
  throw new Error('no file was made');
}

function programPdf(me: Teacher, program: ReturnType<typeof programOf>): Promise<Uint8Array> {
  const say = sayOf(me);
  return pdfOf(say, need(planSheets(me, say, { kind: 'program', program })));
}
