import type { CsvRow } from '@/core/format';
import type { Issue } from '@/core/issue';
import { LIMBS } from '@/core/kit';
import { SUFFERING_IDS, VERDICTS, type Author, type Body, type Suffered } from '@/core/log';
import { parseId, type Day, type EntryId } from '@/core/studio';
import type { LOG_COLUMNS } from './table-columns';

type Row = CsvRow<(typeof LOG_COLUMNS)[number]>;

/** An hour for what has only a date. */
const USUAL_CLOCK = '17:00';

/** Longest texts, in letters. */
const LONGEST = { exercise: 80, rung: 200, remark: 300 } as const;

/** A row of a table as a try. */
export interface ReadTry {
  readonly line: number;
  readonly student: string;
  readonly day: Day;
  readonly clock: string;
  readonly program: string;
  readonly exercise: string;
  readonly by: Author;
  readonly said: Pick<Body<'try'>, 'bpm' | 'verdict'> &
    Partial<Pick<Body<'try'>, 'rung' | 'bars' | 'seconds' | 'stopped' | 'paper'>>;
  readonly suffered: readonly Suffered[];
  readonly broke: readonly number[];
  readonly remark: string;
  readonly id: EntryId | null;
}

/** @param today no row is of a later date
 * @param issues takes what cannot be read
 * @returns null where something cannot */
export function tryOfRow({ line, of }: Row, today: Day, issues: Issue[]): ReadTry | null {
  const before = issues.length;
  const text = (column: keyof typeof of) => of[column] ?? '';
  const wrong = (column: keyof typeof of, like: string) => {
    issues.push({
      ...{ code: 'csv-form', path: [], line, column, text: text(column).slice(0, 40), like },
    });
  };
  const number = (column: 'bpm' | 'bars' | 'seconds', from: number, to: number) => {
    const value = Number(text(column).replace(',', '.') || NaN);
    if (!(value >= from && value <= to)) wrong(column, `${from}–${to}`);
    return value;
  };
  const choice = <T extends string>(column: keyof typeof of, may: readonly T[]): T | null => {
    const typed = text(column).toLowerCase();
    const found = may.find((one) => one === typed) ?? null;
    if (typed !== '' && found === null) {
      issues.push({ code: 'csv-cell', path: [], line, column, text: typed.slice(0, 40), may });
    }
    return found;
  };
  const day = text('date');
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(day) && !Number.isNaN(Date.parse(`${day}T00:00Z`));
  if (!isDay || day > today || new Date(`${day}T00:00Z`).toISOString().slice(0, 10) !== day) {
    wrong('date', today);
  }
  // As spreadsheets write it, too: 9:05, 18:30:00.
  const clock =
    /^([01]?\d|2[0-3]):[0-5]\d(?=(:[0-5]\d)?$)/.exec(text('time') || USUAL_CLOCK)?.[0] ?? '';
  if (clock === '') wrong('time', '18:30');
  for (const column of ['exercise', 'rung', 'remark'] as const) {
    const cell = text(column);
    const isMissing = column === 'exercise' && cell === '';
    if (!isMissing && cell.length <= LONGEST[column]) continue;
    issues.push({ code: 'csv-cell', path: [], line, column, text: cell.slice(0, 40), may: [] });
  }
  const bpm = number('bpm', 20, 400);
  const verdict = choice('verdict', VERDICTS);
  const by = choice('judged-by', ['student', 'teacher']) ?? 'teacher';
  const suffered = sufferedOf(text('suffered'));
  if (!suffered) wrong('suffered', 'flam LH');
  const broke = text('broke-on-beat').split(/\s+/).filter(Boolean).map(Number);
  if (!broke.every((beat) => Number.isInteger(beat) && beat >= 1 && beat <= 4097)) {
    wrong('broke-on-beat', '1 3');
  }
  const said = {
    ...{ bpm, verdict },
    // A column of rungs knows them; without one it is the rung of that date.
    ...(of.rung !== undefined && { rung: of.rung || null }),
    ...(text('bars') !== '' && { bars: Math.round(number('bars', 0, 100_000)) }),
    ...(text('seconds') !== '' && { seconds: number('seconds', 0, 86_400) }),
    ...(choice('stopped', ['yes', 'no']) === 'yes' && { stopped: true }),
    ...(choice('paper', ['yes', 'no']) === 'yes' && { paper: true }),
  };
  if (issues.length > before) return null;
  return {
    ...{
      line,
      day,
      clock: clock.padStart(5, '0'),
      by,
      said,
      student: text('student'),
      program: text('program'),
    },
    ...{ exercise: text('exercise'), suffered: suffered ?? [], id: parseId<'entry'>(text('id')) },
    ...{ broke: broke.map((beat) => beat - 1), remark: text('remark') },
  };
}

/** @example sufferedOf('flam LH tense') // => a flam of the left hand, and tension */
function sufferedOf(text: string): readonly Suffered[] | null {
  const found: Suffered[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const limb = LIMBS.find((one) => one === word.toUpperCase());
    const what = SUFFERING_IDS.find((one) => one === word.toLowerCase());
    const last = found.at(-1);
    if (what) found.push({ what, limb: null });
    else if (limb && last && last.limb === null) found.splice(-1, 1, { ...last, limb });
    else return null;
  }
  return found;
}
