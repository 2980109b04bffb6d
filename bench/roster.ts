import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seeded } from '@/core/chance';
import { readBundle, type Bundle } from '@/core/format';
import { must } from '@/core/issue';
import { factsOf, replay, USUAL_COURSE } from '@/core/ladder';
import type { LadderEvent, Posted, Verdict } from '@/core/log';
import { expand } from '@/core/recipe';
import { daysAfter } from '@/core/studio';
import { closeDb, openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import {
  appendEntries,
  asStudent,
  asTeacher,
  exportStudio,
  getDay,
  getRecord,
  getToday,
  importBundle,
  listStudents,
  newId,
  openStudio,
  viewerOf,
  type Context,
  type Student,
} from '@/server';
import { ITEMS, largeStudio, recipeOf, type Large } from './large-studio';
import { median, timed, type Row } from './report';

const STUDENTS = 200;
const ENTRIES = 100_000;
/** Entries of one student whose log is long. */
const LONG = [10_000, 100_000];
/** Tries of each student of a studio that moves. */
const BUNDLED = Array.from({ length: 20 }, () => 1500);
const REQUESTS = 200;

/** The same studio as a process that was just started sees it. */
function restarted({ context, file, teacher, teacherId, students }: Large): Large {
  closeDb(context.db);
  const fresh: Context = { db: openDb(file), now: Date.now };
  const one = students[0];
  const seen = one && viewerOf(fresh, one.store.id);
  if (!seen) throw new Error(`nobody in the studio of ${teacher.role}`);
  const ada = must(asTeacher(fresh, { ...seen, role: 'teacher' }));
  const same = ada.store
    .students()
    .map((own) => must(asStudent(fresh, { ...seen, personId: own.id })));
  return { context: fresh, file, teacher: ada, teacherId, students: same };
}

function tryOf(me: Student, index = 0): Posted<'try'> {
  const item = must(getToday(me))[index % ITEMS];
  if (!item) throw new Error('no item');
  return {
    kind: 'try',
    id: newId<'entry'>(me),
    agoMs: 0,
    sessionId: newId<'session'>(me),
    assignmentId: item.assignmentId,
    itemId: item.item.id,
    body: { bpm: item.state.bpm, rung: null, verdict: 'clean', bars: 40, seconds: 150 },
  };
}

/** A whole studio written, read, and taken into an empty one; the baseline parses its JSON. */
function asBundle({ context, teacher }: Large): Row[] {
  let text = '';
  const write = timed(() => (text = must(exportStudio(teacher, true))));
  const parsed = median([1, 2, 3].map(() => timed(() => JSON.parse(text) as unknown)));
  let bundle: Bundle | null = null;
  const read = timed(() => (bundle = must(readBundle(text))));
  const studio = { studio: 'Empty', teacher: 'Bo', zone: 'Europe/Lisbon' };
  const to = must(asTeacher(context, viewerOf(context, must(openStudio(context, studio)))));
  const take = timed(() => bundle && must(importBundle(to, bundle)));
  closeDb(context.db);
  const tries = BUNDLED.reduce((sum, each) => sum + each, 0);
  const row = (did: string, ms: number): Row => ({
    what: `a studio of ${BUNDLED.length} students with ${tries} tries as a bundle (${Math.round(text.length / 1000)} KB), ${did}`,
    measured: `${ms.toFixed(0)} ms`,
    against: `${(ms / parsed).toFixed(1)} × parsing its JSON (${parsed.toFixed(0)} ms)`,
  });
  return [row('written', write), row('read and checked', read), row('taken in', take)];
}

function percentile(values: readonly number[], share: number): number {
  return [...values].sort((a, b) => a - b)[Math.ceil(values.length * share) - 1] ?? NaN;
}

/** The roster of a large studio while its students practise, a log write, a record page; one student whose
 * log is long; and replaying one long log. The baseline counts all entries of the same file in SQL. */
export function roster(): Row[] {
  Object.assign(process.env, { NODE_ENV: 'production' });
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-roster-'));
  const rows = [
    ...ofMany(
      restarted(
        largeStudio(
          join(folder, 'many.sqlite'),
          Array.from({ length: STUDENTS }, () => ENTRIES / STUDENTS),
        ),
      ),
    ),
    ...LONG.flatMap((count) => {
      const own = mkdtempSync(join(folder, 'long-'));
      return ofOne(restarted(largeStudio(join(own, 'one.sqlite'), [count])), count);
    }),
    replaying(),
    ...asBundle(largeStudio(join(folder, 'bundle.sqlite'), BUNDLED)),
  ];
  rmSync(folder, { recursive: true, force: true });
  return rows;
}

function counting({ context }: Large): number {
  const sql = "select body ->> '$.verdict', count(*) from entry group by 1";
  const count = connectionOf(context.db).$client.prepare(sql);
  return median(Array.from({ length: 20 }, () => timed(() => count.all())));
}

function ofMany(built: Large): Row[] {
  const once = restarted(built);
  const anew = timed(() => must(listStudents(once.teacher)));
  const large = restarted(once);
  const { teacher, students } = large;
  const first = timed(() => must(listStudents(teacher)));
  const count = counting(large);
  const writes: number[] = [];
  const requests = Array.from({ length: REQUESTS }, (_, index) => {
    const me = students[index % STUDENTS];
    if (me) {
      const entry = tryOf(me);
      writes.push(timed(() => must(appendEntries(me, me.store.id, [entry]))));
    }
    return timed(() => must(listStudents(teacher)));
  });
  const records = students
    .slice(0, 50)
    .map((me) => timed(() => must(getRecord(teacher, me.store.id))));
  const against = (ms: number) =>
    `${(ms / count).toFixed(1)} × counting all entries by verdict in SQL (${count.toFixed(1)} ms)`;
  const slow = percentile(requests, 0.95);
  const record = percentile(records, 0.95);
  closeDb(large.context.db);
  return [
    {
      what: `roster of ${STUDENTS} students, ${ENTRIES} entries, one new entry between requests`,
      measured: `95th percentile ${slow.toFixed(1)} ms, median ${median(requests).toFixed(1)} ms; the first after a start ${Math.round(first)} ms, of a new version ${Math.round(anew)} ms`,
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
  ];
}

/** One student with so many entries: tries are stored, and between them Today and the record are read. */
function ofOne(large: Large, entries: number): Row[] {
  const { teacher, students } = large;
  const [me] = students;
  if (!me) throw new Error('nobody');
  const count = counting(large);
  const first = timed(() => must(getToday(me)));
  const writes: number[] = [];
  const today: number[] = [];
  const records: number[] = [];
  for (let index = 0; index < REQUESTS; index += 1) {
    const entry = tryOf(me, index);
    writes.push(timed(() => must(appendEntries(me, me.store.id, [entry]))));
    today.push(timed(() => must(getDay(me))));
    records.push(timed(() => must(getRecord(teacher, me.store.id))));
  }
  closeDb(large.context.db);
  const row = (what: string, values: readonly number[], more = ''): Row => ({
    what: `${what}, one student with ${entries} entries`,
    measured: `median ${median(values).toFixed(2)} ms, 95th percentile ${percentile(values, 0.95).toFixed(2)} ms${more}`,
    against: `${(percentile(values, 0.95) / count).toFixed(2)} × counting them by verdict in SQL (${count.toFixed(1)} ms)`,
  });
  return [
    row('a log write', writes),
    row('Today', today, `; the first after a start ${Math.round(first)} ms`),
    row('the record', records),
  ];
}

/** One item with 5,000 entries; the baseline copies the log as JSON. */
function replaying(): Row {
  const recipe = recipeOf(1);
  const facts = factsOf(must(expand(recipe)), recipe);
  const random = seeded(3);
  const log: LadderEvent[] = Array.from({ length: 5000 }, (_, index) => {
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
