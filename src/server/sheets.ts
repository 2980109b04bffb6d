import { cuesOf } from '@/core/analysis';
import { fail, ok, type Issue, type Result } from '@/core/issue';
import { rungAt, startLadder } from '@/core/ladder';
import { planDays } from '@/core/plan';
import { itemsOf } from '@/core/program';
import { parseLine } from '@/core/reading';
import { expand, writeLink, type ClosedRecipe } from '@/core/recipe';
import {
  itemKey,
  type Day,
  type PersonId,
  type ProgramId,
  type StandItem,
  type StudentPlan,
} from '@/core/studio';
import { bpm as toBpm, parseMeter, tempoFor } from '@/core/time';
import type { Look, Page, SheetOf } from '@/core/print';
import { PdfWriter, sheetPages, type Sheet, type SheetItem, type SheetWeek } from '@/paper';
import { sayRung, sayWhyToStudent, type Say } from '@/words';
import { linkPathOf } from './access';
import { openStudent, type Student, type Teacher } from './authority';
import { planOf } from './plans';
import { getProgram } from './programs';
import { practiceDay } from './standing';

/** Sheets one after the other, so that whoever makes many can say how far they are, and stop. */
interface SheetsToMake {
  readonly title: string;
  readonly of: number;
  readonly make: (index: number) => Result<Sheet>;
}

/** What is handed out: by a teacher anything of the studio's, by a student their own week.
 * @returns issues of `expand`, of reading a line, of opening the student, `not-yours`, `not-found`, and
 * `nobody-has-it` for the class of a program that nobody has */
export function planSheets(me: Teacher | Student, say: Say, what: SheetOf): Result<SheetsToMake> {
  const one = (title: string, make: () => Result<Sheet>) => ok({ title, of: 1, make });
  if (what.kind === 'week') {
    const opened = openStudent(me, what.student);
    if (!opened.ok) return opened;
    const { name } = opened.value.person;
    return one(name, () => weekSheet(me, say, what.student, what.program));
  }
  if (me.role === 'student') return fail({ code: 'not-yours', path: [], what: 'page' });
  const day = practiceDay(me);
  const { address } = me.store.studio();
  if (what.kind === 'exercises') return one(what.title, () => exercisesSheet(address, day, what));
  if (what.kind === 'line') return one(what.name, () => lineSheet(day, what));
  const program = getProgram(me, what.program);
  if (!program.ok) return program;
  const { name, given } = program.value;
  if (what.kind === 'program') return one(name, () => programSheet(me, what.program, day));
  if (given.length === 0) return fail({ code: 'nobody-has-it', path: ['program'], name });
  return ok({
    title: name,
    of: given.length,
    make: (index: number) => {
      const student = given[index]?.student.id;
      if (student === undefined) throw new RangeError(`no student ${index}`);
      return weekSheet(me, say, student, what.program);
    },
  });
}

/** Exercises that stand in no studio, one sheet: without codes, for nobody has said where they open. */
export function planExercises(
  day: Day,
  what: Extract<SheetOf, { kind: 'exercises' }>,
): SheetsToMake {
  return { title: what.title, of: 1, make: () => exercisesSheet(null, day, what) };
}

function exercisesSheet(
  address: string | null,
  day: Day,
  { title, entries, bpm }: Extract<SheetOf, { kind: 'exercises' }>,
): Result<Sheet> {
  const items: SheetItem[] = [];
  for (const [index, { name, recipe }] of entries.entries()) {
    const made = expand(recipe);
    if (!made.ok) return made;
    const number = entries.length > 1 ? index + 1 : null;
    const cues = cuesOf(made.value, tempoFor(made.value.meter, toBpm(bpm)));
    const exercise = made.value;
    const opens = recipeAddress(address, recipe);
    items.push({ number, name, recipe, exercise, cues, bpm, opens, why: '', practice: null });
  }
  return ok({ title, student: '', wayIn: null, day, week: null, line: null, items });
}

function lineSheet(day: Day, what: Extract<SheetOf, { kind: 'line' }>): Result<Sheet> {
  const { name, text, meter } = what;
  const read = parseMeter(meter);
  if (!read.ok) return read;
  const line = parseLine(text, read.value);
  if (!line.ok) return line;
  const page = { name, line: line.value };
  return ok({ title: name, student: '', wayIn: null, day, week: null, line: page, items: [] });
}

function programSheet(me: Teacher, id: ProgramId, day: Day): Result<Sheet> {
  const program = getProgram(me, id);
  if (!program.ok) return program;
  const { name, outline, recipes } = program.value;
  const items: SheetItem[] = [];
  for (const item of itemsOf(outline)) {
    const recipe = recipes[item.id];
    const made = recipe && expand(recipe);
    if (!recipe || !made) continue;
    if (!made.ok) return made;
    const { course, cues: own } = item;
    const { rungs, rung, bpm } = startLadder({ course });
    const derived = cuesOf(made.value, tempoFor(made.value.meter, bpm));
    const cues = own.length > 0 ? own.map((text) => ({ kind: 'own', text }) as const) : derived;
    items.push({
      ...{ number: items.length + 1, name: item.name, recipe, exercise: made.value, cues, bpm },
      opens: recipeAddress(me.store.studio().address, recipe),
      ...{ why: '', practice: { course, rungs, rung } },
    });
  }
  return ok({ title: name, student: '', wayIn: null, day, week: null, line: null, items });
}

/** @param programId whose exercises are written out; null writes all of them out */
function weekSheet(
  me: Teacher | Student,
  say: Say,
  studentId: PersonId,
  programId: ProgramId | null,
): Result<Sheet> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  const { plan, items } = planOf({ now: me.now, store });
  const theirs = new Set(
    store
      .given()
      .flatMap((one) =>
        programId === null || one.programId === programId ? one.assignmentId : [],
      ),
  );
  const shown = items.filter(({ assignmentId }) => theirs.has(assignmentId));
  const [only] = shown;
  const { address } = store.studio();
  const isOne = shown.every(({ program }) => program === only?.program);
  const written = shown.flatMap((item): readonly SheetItem[] => {
    const made = expand(item.plays);
    if (!made.ok) return [];
    const { rungs, rung, bpm } = item.state;
    return [
      {
        ...{ number: items.indexOf(item) + 1, name: item.item.name, recipe: item.plays },
        ...{ exercise: made.value, cues: item.cues, bpm, why: sayWhyToStudent(say, item.why) },
        opens: address && `${address}/stand?item=${encodeURIComponent(itemKey(item))}`,
        practice: { course: item.item.course, rungs, rung },
      },
    ];
  });
  return ok({
    title: isOne && only ? only.program : store.studio().name,
    student: store.person.name,
    wayIn: address === null ? null : wayInOf(me, studentId, address),
    day: plan.planning.today,
    week: items.length === 0 ? null : weekOf(say, plan, items),
    line: null,
    items: written,
  });
}

/** Where the student's private link leads, on what their teacher prints; null where they have none. */
function wayInOf(me: Teacher | Student, id: PersonId, address: string): string | null {
  const ways = me.role === 'teacher' ? me.store.waysIn(id) : null;
  const path = ways && linkPathOf(ways, me.now());
  return path === null ? null : address + path;
}

/** Longest address that a code is made of: one of more letters is too fine to be read off paper. */
const LONGEST_ADDRESS = 600;

/** Where an exercise is opened that stands on its own; null where that is not known, or too long for a code. */
function recipeAddress(address: string | null, recipe: ClosedRecipe): string | null {
  if (address === null) return null;
  const opens = `${address}/bench?r=${writeLink(recipe)}`;
  return opens.length > LONGEST_ADDRESS ? null : opens;
}

const DAYS = 7;

function weekOf(say: Say, { planning }: StudentPlan, items: readonly StandItem[]): SheetWeek {
  const { days } = planDays({ ...planning, count: DAYS });
  return {
    days: days.map(({ day, seconds }) => ({ day, minutes: Math.round(seconds / 60) })),
    rows: items.map((item, index) => {
      const work = planning.works.findIndex(({ id }) => id === itemKey(item));
      const { rungs, rung } = item.state;
      return {
        name: `${index + 1}  ${item.item.name}`,
        now: say.t('sheet.now', { rung: sayRung(say, rungAt(rungs, rung).asks) }),
        planned: days.map(({ entries }) => entries.some((entry) => entry.work === work)),
      };
    }),
  };
}

/** A line of what is answered while sheets are made. */
export type SheetLine =
  /** Where codes lead, which only a teacher sets; it comes first. */
  | { readonly address: string | null }
  | { readonly done: number; readonly of: number; readonly pages?: readonly Page[] }
  | { readonly pdf: string }
  | { readonly issues: readonly Issue[] };

/** Makes sheets one by one, and says so after each; between two of them others are served.
 * @param as pages are answered as they are made; a file comes last, in base64 */
export async function* makeSheets(
  say: Say,
  look: Look,
  { title, of, make }: SheetsToMake,
  as: 'pages' | 'pdf',
): AsyncGenerator<SheetLine> {
  const file = as === 'pdf' ? new PdfWriter(title, say.locale) : null;
  for (let index = 0; index < of; index += 1) {
    const sheet = make(index);
    if (!sheet.ok) return yield { issues: sheet.issues };
    const pages = sheetPages(say, look, sheet.value);
    file?.add(pages);
    yield { done: index + 1, of, ...(file ? {} : { pages }) };
    await new Promise((done) => setImmediate(done));
  }
  if (file) yield { pdf: (await file.end()).toString('base64') };
}
