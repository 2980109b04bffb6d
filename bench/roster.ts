import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seeded } from '@/core/chance';
import { must } from '@/core/issue';
import { factsOf, replay, USUAL_COURSE, type LogEvent, type Verdict } from '@/core/ladder';
import { blankRecipe, expand, startOf, toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import { daysAfter, makeId, type PersonId, type TryInput, type Viewer } from '@/core/studio';
import { openDb, queries } from '@/db';
import {
  addItem,
  addStudent,
  createProgram,
  getRecord,
  getToday,
  giveProgram,
  listStudents,
  logTry,
  openStudio,
  saveExercise,
  viewerOf,
  type Context,
} from '@/server';
import { median, timed, type Row } from './report';

const STUDENTS = 200;
const ENTRIES = 100_000;
const ITEMS = 8;
const DAYS = 60;
const REQUESTS = 200;

const LINES = ['4. 4 8 4', '8 4. 8 4.', '4 8 8 4 4', '8r 4 4 8 4'];

function recipeOf(index: number): ClosedRecipe {
  const over = ['hats-2-4', 'jazz-ride', 'samba-feet', 'rock-8ths-hands'][index % 4] ?? 'hats-2-4';
  return {
    ...toggleOstinato(blankRecipe(), over),
    play: { content: { text: LINES[index >> 1] ?? '4 4 4 4' } },
    as: startOf(index % 2 === 0 ? 'verbatim' : 'short-long'),
    clash: 'merge',
  };
}

function viewer(context: Context, id: PersonId): Viewer {
  const found = viewerOf(context, id);
  if (!found) throw new Error('nobody');
  const { name: _, ...rest } = found;
  return rest;
}

/** A studio of 200 students with 100,000 tries in a file, so that reading is what it is at a desk. */
function build(context: Context): { teacher: Viewer; students: Viewer[] } {
  const studio = { studio: 'Large', teacher: 'Ada', zone: 'Europe/Lisbon' };
  const teacher = viewer(context, must(openStudio(context, studio)));
  const program = must(createProgram(context, teacher, 'All'));
  for (let index = 0; index < ITEMS; index += 1) {
    const input = { id: null, name: `Exercise ${index + 1}`, recipe: recipeOf(index) };
    must(addItem(context, teacher, program, must(saveExercise(context, teacher, input)).id));
  }
  const random = seeded(11);
  const today = new Date(context.now()).toISOString().slice(0, 10);
  const students = Array.from({ length: STUDENTS }, (_, index) => {
    const id = must(addStudent(context, teacher, { name: `Student ${index + 1}`, about: '' }));
    const assignmentId = must(giveProgram(context, teacher, program, id));
    const me = viewer(context, id);
    const items = must(getToday(context, me));
    const each = ENTRIES / STUDENTS;
    const entries = Array.from({ length: each }, (_unused, n) => {
      const item = items[n % ITEMS]?.item;
      if (!item) throw new Error('no item');
      const drawn = random();
      const verdict: Verdict = drawn < 0.7 ? 'clean' : drawn < 0.9 ? 'shaky' : 'lost';
      const day = daysAfter(today, Math.floor((n * DAYS) / each) - DAYS);
      const at = Date.parse(`${day}T17:00:00Z`) + n * 1000;
      const bpm = 60 + 5 * Math.floor(random() * 3);
      const made = makeId<'entry'>(at, randomBytes(12));
      const sessionId = makeId<'session'>(Date.parse(`${day}T17:00:00Z`), idBytes(index));
      const entry = {
        id: made,
        sessionId,
        assignmentId,
        itemId: item.id,
        bpm,
        rung: null,
        verdict,
      };
      return {
        entry: { ...entry, bars: 40, seconds: 150, hash: item.hash },
        context: { studioId: teacher.studioId, studentId: id, at, day },
      };
    });
    queries.insertTries(context.db, entries);
    return me;
  });
  return { teacher, students };
}

function idBytes(index: number): Uint8Array {
  return Uint8Array.from({ length: 12 }, (_, at) => (index >> at) % 32);
}

function tryOf(context: Context, me: Viewer): TryInput {
  const [item] = must(getToday(context, me));
  if (!item) throw new Error('no item');
  return {
    id: makeId<'entry'>(context.now(), randomBytes(12)),
    sessionId: makeId<'session'>(context.now(), randomBytes(12)),
    assignmentId: item.assignmentId,
    itemId: item.item.id,
    bpm: item.state.bpm,
    rung: null,
    agoMs: 0,
    verdict: 'clean',
    bars: 40,
    seconds: 150,
  };
}

function percentile(values: readonly number[], share: number): number {
  return [...values].sort((a, b) => a - b)[Math.ceil(values.length * share) - 1] ?? NaN;
}

/** The roster of a large studio while its students practise, a log write, a record page, and replaying
 * one long log. The baseline counts all entries of the same file in SQL. */
export function roster(): Row[] {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-roster-'));
  const context: Context = { db: openDb(join(folder, 'mivvel.sqlite')), now: Date.now };
  const { teacher, students } = build(context);
  const counting = () =>
    context.db.$client.prepare('select verdict, count(*) from log_entry group by verdict').all();
  const count = median(Array.from({ length: 20 }, () => timed(counting)));
  const first = timed(() => must(listStudents(context, teacher)));
  const writes: number[] = [];
  const requests = Array.from({ length: REQUESTS }, (_, index) => {
    const me = students[index % STUDENTS];
    if (me) {
      const entry = tryOf(context, me);
      writes.push(timed(() => must(logTry(context, me, entry))));
    }
    return timed(() => must(listStudents(context, teacher)));
  });
  const records = students
    .slice(0, 50)
    .map((me) => timed(() => must(getRecord(context, teacher, me.personId))));
  rmSync(folder, { recursive: true, force: true });
  const against = (ms: number) =>
    `${(ms / count).toFixed(1)} × counting all entries by verdict in SQL (${count.toFixed(1)} ms)`;
  const slow = percentile(requests, 0.95);
  const record = percentile(records, 0.95);
  const replayed = replaying();
  return [
    {
      what: `roster of ${STUDENTS} students, ${ENTRIES} entries, one new entry between requests`,
      measured: `95th percentile ${slow.toFixed(1)} ms, median ${median(requests).toFixed(1)} ms; the first after a start ${Math.round(first)} ms`,
      against: against(slow),
    },
    {
      what: 'a record page of one of them',
      measured: `95th percentile ${record.toFixed(1)} ms`,
      against: against(record),
    },
    {
      what: 'a log write, safe on disk',
      measured: `median ${median(writes).toFixed(2)} ms, 95th percentile ${percentile(writes, 0.95).toFixed(2)} ms`,
      against: against(median(writes)),
    },
    replayed,
  ];
}

/** One item with 5,000 entries; the baseline copies the log as JSON. */
function replaying(): Row {
  const recipe = recipeOf(1);
  const facts = factsOf(must(expand(recipe)), recipe);
  const random = seeded(3);
  const log: LogEvent[] = Array.from({ length: 5000 }, (_, index) => {
    const drawn = random();
    const verdict: Verdict = drawn < 0.7 ? 'clean' : drawn < 0.9 ? 'shaky' : 'lost';
    const bpm = 60 + 5 * Math.floor(random() * 3);
    const day = daysAfter('2026-01-01', Math.floor(index / 20));
    const broke = verdict === 'clean' ? [] : [2];
    return { kind: 'try', id: String(index), day, bpm, rung: null, verdict, suffered: [], broke };
  });
  const of = { course: USUAL_COURSE, facts };
  const mine = median(Array.from({ length: 20 }, () => timed(() => replay(of, log))));
  const copy = median(
    Array.from({ length: 20 }, () => timed(() => JSON.parse(JSON.stringify(log)))),
  );
  return {
    what: 'replay of 5000 entries',
    measured: `${mine.toFixed(2)} ms`,
    against: `${(mine / copy).toFixed(2)} × copying the log as JSON`,
  };
}
