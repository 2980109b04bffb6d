import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { afterAll, describe, expect, it } from 'vitest';
import { readBody, type EntryKind } from '@/core/log';
import { closeDb, connectionOf, openDb } from './connection';
import { knowSha256 } from './forms';
import { sha256 } from './sha256';

const FOLDER = join(process.cwd(), 'src/db/migrations');

interface Journal {
  readonly entries: readonly { readonly tag: string }[];
}

const journal = JSON.parse(readFileSync(join(FOLDER, 'meta/_journal.json'), 'utf8')) as Journal;

/** A file as it was after the first so many migrations. */
function fileAfter(count: number): Database.Database {
  const db = new Database(':memory:');
  knowSha256(db);
  for (const { tag } of journal.entries.slice(0, count)) migrate(db, tag);
  return db;
}

function migrate(db: Database.Database, tag = ''): void {
  const sql = readFileSync(join(FOLDER, `${tag}.sql`), 'utf8');
  for (const statement of sql.split('--> statement-breakpoint')) db.exec(statement);
}

const ENTRY = `
  insert into studio (id, name, zone) values ('s', 'Mole End', 'UTC');
  insert into person (id, studio_id, role, name) values ('p', 's', 'student', 'Ines');
  insert into exercise (id, studio_id, name, recipe, hash, updated_at)
    values ('x', 's', 'Cells', '{}', 'h', 1);
  insert into program (id, studio_id, name, created_at) values ('g', 's', 'Autumn', 1);
  insert into program_item (id, studio_id, program_id, exercise_id, position)
    values ('i', 's', 'g', 'x', 0);
  insert into assignment (id, studio_id, program_id, student_id, given_at)
    values ('a', 's', 'g', 'p', 1);
  insert into session (id, studio_id, student_id, started_at, day)
    values ('t', 's', 'p', 1, '2026-01-01');
  insert into log_entry
    (id, studio_id, student_id, assignment_id, item_id, session_id, kind, at, day, bpm, verdict)
    values ('e', 's', 'p', 'a', 'i', 't', 'try', 1, '2026-01-01', 60, 'clean');
`;

const REWRITE = "update log_entry set verdict = 'lost' where id = 'e'";

describe('migrations', () => {
  it('0000 start: an empty file has all tables afterwards', () => {
    const tables = "select name from sqlite_master where type = 'table'";
    expect(fileAfter(0).prepare(tables).all()).toEqual([]);
    const names = fileAfter(1).prepare(tables).pluck().all();
    for (const name of ['studio', 'person', 'exercise', 'program', 'ladder', 'log_entry']) {
      expect(names).toContain(name);
    }
  });

  it('0001 append-only log: entries could be rewritten before, not after', () => {
    const before = fileAfter(1);
    before.exec(ENTRY);
    expect(before.prepare(REWRITE).run().changes).toBe(1);
    const after = fileAfter(2);
    after.exec(ENTRY);
    expect(() => after.prepare(REWRITE).run()).toThrow('append-only');
    expect(after.prepare("delete from log_entry where id = 'e'").run().changes).toBe(1);
  });

  it('0002 materials, kits, speech: what was there stays, with no kit and no speech yet', () => {
    const before = fileAfter(2);
    before.exec(ENTRY);
    expect(() => before.prepare('select kit from person').all()).toThrow('no such column');
    migrate(before, journal.entries[2]?.tag);
    expect(before.prepare('select name, kit from person').all()).toEqual([
      { name: 'Ines', kit: null },
    ]);
    expect(before.prepare('select speech from studio').pluck().all()).toEqual([null]);
    expect(before.prepare('select count(*) from material').pluck().get()).toBe(0);
  });

  it('0003 families: what was there stays, and a family can be kept', () => {
    const before = fileAfter(3);
    before.exec(ENTRY);
    expect(() => before.prepare('select id from family').all()).toThrow('no such table');
    migrate(before, journal.entries[3]?.tag);
    expect(before.prepare('select name from exercise').pluck().all()).toEqual(['Cells']);
    before.exec("insert into family values ('f', 's', 'Flows', '{}', 1, null)");
    expect(before.prepare('select count(*) from family').pluck().get()).toBe(1);
  });

  it('0004 steps: a studio has the usual ones', () => {
    const before = fileAfter(4);
    before.exec(ENTRY);
    expect(() => before.prepare('select steps from studio').all()).toThrow('no such column');
    migrate(before, journal.entries[4]?.tag);
    expect(before.prepare('select name, steps from studio').all()).toEqual([
      { name: 'Mole End', steps: null },
    ]);
  });

  it('0005 program versions, 0006 items in versions: what was given is version 1, log and all', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    before.exec(`
      update exercise set recipe = '{"version":1}';
      insert into ladder values ('i', 's',
        '{"kind":"fixed","start":60,"target":100,"step":5}',
        '{"kind":"minutes","amount":5}', '{"clean":3,"lost":2}');
      insert into program_item (id, studio_id, program_id, exercise_id, position, removed_at)
        values ('old', 's', 'g', 'x', 1, 9);
      insert into program (id, studio_id, name, created_at) values ('none', 's', 'Empty', 2);
    `);
    for (const { tag } of journal.entries.slice(5, 7)) migrate(before, tag);
    const content = (id: string) =>
      JSON.parse(
        before
          .prepare('select content from program_version where program_id = ?')
          .pluck()
          .get(id) as string,
      ) as { sections: { items: object[] }[] };
    expect(content('none').sections[0]?.items).toEqual([]);
    expect(content('g').sections[0]?.items).toEqual([
      {
        id: 'i',
        kind: 'exercise',
        exerciseId: 'x',
        hash: 'h',
        name: 'Cells',
        course: {
          ladder: { kind: 'fixed', start: 60, target: 100, step: 5 },
          dosage: { kind: 'minutes', amount: 5 },
          rule: { clean: 3, lost: 2 },
        },
        cues: [],
        after: [],
        recipe: { version: 1 },
      },
    ]);
    expect(before.prepare('select version, starts from assignment').get()).toEqual({
      version: 1,
      starts: '{}',
    });
    expect(before.prepare('select id, verdict, rung from log_entry').all()).toEqual([
      { id: 'e', verdict: 'clean', rung: null },
    ]);
    expect(before.prepare('select count(*) from program_item').pluck().get()).toBe(2);
    expect(() => before.prepare('select * from ladder').all()).toThrow('no such table');
    expect(() => before.prepare(REWRITE).run()).toThrow('append-only');
  });

  it('0007 schedules, remarks: people and entries stay, with none yet', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    for (const { tag } of journal.entries.slice(5, 7)) migrate(before, tag);
    expect(() => before.prepare('select schedule from person').all()).toThrow('no such column');
    for (const { tag } of journal.entries.slice(7, 8)) migrate(before, tag);
    expect(before.prepare('select name, schedule from person').all()).toEqual([
      { name: 'Ines', schedule: null },
    ]);
    expect(before.prepare('select id, verdict, text from log_entry').all()).toEqual([
      { id: 'e', verdict: 'clean', text: null },
    ]);
    expect(() => before.prepare(REWRITE).run()).toThrow('append-only');
  });

  it('0008 one log, 0009 the old one goes: every entry stays, in its order, with what it said', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    for (const { tag } of journal.entries.slice(5, 8)) migrate(before, tag);
    before.exec(`
      insert into log_entry (id, studio_id, student_id, assignment_id, item_id, session_id, kind, at,
        day, hash, bpm, verdict, bars, seconds, rung, paper, try_id, suffered, beat, text, decision)
      values
        ('p', 's', 'p', 'a', 'i', 't', 'try', 2, '2026-01-02', 'h', 66.5, 'lost', 8, 31.5,
          'on the pad, 72', 1, null, null, null, null, null),
        ('u', 's', 'p', 'a', 'i', 't', 'suffered', 3, '2026-01-02', null, null, null, null, null,
          null, null, 'p', '{"what":"flam","limb":null}', null, null, null),
        ('b', 's', 'p', 'a', 'i', 't', 'broke', 4, '2026-01-02', null, null, null, null, null, null,
          null, 'p', null, 2, null, null),
        ('r', 's', 'p', 'a', 'i', 't', 'remark', 5, '2026-01-02', null, null, null, null, null, null,
          null, 'p', null, null, 'stiff', null),
        ('d', 's', 'p', 'a', 'i', 't', 'decided', 6, '2026-01-02', null, null, null, null, null,
          null, null, null, null, null, null, '{"does":"move","rung":1}'),
        ('k', 's', 'p', 'a', 'i', 't', 'taken-back', 7, '2026-01-02', null, null, null, null, null,
          null, null, 'd', null, null, null, null);
      insert into note values ('n', 's', 'p', 'Sing it.', '2026-01-02', 8, null),
        ('o', 's', 'p', 'Count it.', '2026-01-02', 9, 86400000);
    `);
    for (const { tag } of journal.entries.slice(8, 10)) migrate(before, tag);
    const rows = before
      .prepare('select id, kind, about, "by", at, day, hash, body from entry order by seq')
      .all() as Readonly<Record<string, string>>[];
    expect(rows.map(({ id, kind, about, by }) => [id, kind, about, by]).slice(0, 9)).toEqual([
      ['e', 'try', null, 'student'],
      ['p', 'try', null, 'teacher'],
      ['u', 'suffered', 'p', 'student'],
      ['b', 'broke', 'p', 'student'],
      ['r', 'remark', 'p', 'student'],
      ['d', 'decided', null, 'teacher'],
      ['k', 'taken-back', 'd', 'teacher'],
      ['n', 'note', null, 'teacher'],
      ['o', 'note', null, 'teacher'],
    ]);
    expect(rows[9]).toMatchObject({ kind: 'taken-back', about: 'o', day: '1970-01-02' });
    expect(
      rows.map(({ kind, body }) => readBody(kind as EntryKind, JSON.parse(body ?? ''))),
    ).toEqual([
      { bpm: 60, rung: null, verdict: 'clean', bars: 0, seconds: 0 },
      { bpm: 66.5, rung: 'on the pad, 72', verdict: 'lost', bars: 8, seconds: 31.5, paper: true },
      { what: 'flam', limb: null },
      { beat: 2 },
      { text: 'stiff' },
      { does: 'move', rung: 1 },
      {},
      { text: 'Sing it.' },
      { text: 'Count it.' },
      {},
    ]);
    expect(() => before.prepare('select * from log_entry').all()).toThrow('no such table');
    expect(() => before.prepare("update entry set body = '{}'").run()).toThrow('append-only');
  });

  it('0010 the studio on every row: versions know whose they are', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    before.exec(`
      insert into material values ('m', 's', 'line', null);
      insert into material_version values ('m', 1, 'Line', '{}', '', null, 1);
    `);
    for (const { tag } of journal.entries.slice(5, 10)) migrate(before, tag);
    const owned = (table: string) =>
      before.prepare(`select studio_id, version from ${table}`).all();
    expect(() => owned('program_version')).toThrow('no such column');
    migrate(before, journal.entries[10]?.tag);
    expect(owned('program_version')).toEqual([{ studio_id: 's', version: 1 }]);
    expect(owned('material_version')).toEqual([{ studio_id: 's', version: 1 }]);
  });

  it('0011 projections: nothing is kept yet, and one a student and name', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    for (const { tag } of journal.entries.slice(5, 11)) migrate(before, tag);
    expect(() => before.prepare('select * from projection').all()).toThrow('no such table');
    migrate(before, journal.entries[11]?.tag);
    expect(before.prepare('select count(*) from projection').pluck().get()).toBe(0);
    const keep = "insert into projection values ('s', 'p', 'roster', 'v', '{}', '{}')";
    expect(before.prepare(keep).run().changes).toBe(1);
    expect(() => before.prepare(keep).run()).toThrow('UNIQUE');
  });

  it('0012 doors: nobody has an address yet, and a secret one opens one calendar', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    for (const { tag } of journal.entries.slice(5, 12)) migrate(before, tag);
    expect(() => before.prepare('select address from studio').all()).toThrow('no such column');
    migrate(before, journal.entries[12]?.tag);
    expect(before.prepare('select address from studio').pluck().get()).toBeNull();
    const people = before.prepare('select id from person').pluck().all();
    expect(before.prepare('select count(*) from person where feed is null').pluck().get()).toBe(
      people.length,
    );
    before.prepare("update person set feed = 'x' where id = ?").run(people[0]);
    const again = before.prepare(
      "insert into person (id, studio_id, role, name, feed) select 'q', id, 'student', 'Q', 'x' from studio",
    );
    expect(() => again.run()).toThrow('UNIQUE');
  });

  it('0013 accounts: the first teacher owns, all teach all, and a calendar’s address is its hash', () => {
    const before = fileAfter(5);
    before.exec(ENTRY);
    for (const { tag } of journal.entries.slice(5, 13)) migrate(before, tag);
    before.exec(`
      insert into person (id, studio_id, role, name) values ('t1', 's', 'teacher', 'Ada');
      insert into person (id, studio_id, role, name) values ('t2', 's', 'teacher', 'Bo');
      update person set feed = 'secret' where id = 'p';
    `);
    expect(() => before.prepare('select * from teaching').all()).toThrow('no such table');
    migrate(before, journal.entries[13]?.tag);
    const roles = before.prepare('select id, role from person order by id').raw().all();
    expect(roles).toEqual([
      ['p', 'student'],
      ['t1', 'owner'],
      ['t2', 'teacher'],
    ]);
    const taught = 'select teacher_id, student_id from teaching order by 1';
    expect(before.prepare(taught).raw().all()).toEqual([
      ['t1', 'p'],
      ['t2', 'p'],
    ]);
    const passes = before.prepare('select kind, person_id, hash from pass').all();
    expect(passes).toEqual([{ kind: 'calendar', person_id: 'p', hash: sha256('secret') }]);
    expect(() => before.prepare('select feed from person').all()).toThrow('no such column');
    expect(before.prepare('select demo from studio').pluck().get()).toBe(0);
  });

  it('opening a file brings it up to date, and again changes nothing', () => {
    const { $client } = connectionOf(openDb(':memory:'));
    expect($client.prepare('select count(*) n from __drizzle_migrations').get()).toEqual({
      n: journal.entries.length,
    });
  });
});

describe('a file of an earlier form', () => {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-forms-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const steps = readMigrationFiles({ migrationsFolder: FOLDER });

  /** A file with a studio that was begun in the first form, as it was after so many steps. */
  function begun(count: number): string {
    const path = join(mkdtempSync(join(folder, 'form-')), 'mivvel.sqlite');
    const db = new Database(path);
    knowSha256(db);
    db.exec(
      'create table __drizzle_migrations (id integer primary key, hash text, created_at numeric)',
    );
    const done = db.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)');
    journal.entries.slice(0, count).forEach(({ tag }, index) => {
      migrate(db, tag);
      if (index === 0) db.exec(ENTRY);
      done.run(steps[index]?.hash, steps[index]?.folderMillis);
    });
    db.close();
    return path;
  }

  const people = (path: string) => {
    const db = new Database(path, { readonly: true });
    const names = db.prepare('select name from person').pluck().all();
    db.close();
    return names;
  };

  it.each(journal.entries.map(({ tag }, index) => [tag, index + 1] as const))(
    'as of %s opens, and is kept as it was',
    (_, count) => {
      const path = begun(count);
      const db = openDb(path);
      const { $client } = connectionOf(db);
      expect($client.prepare('select name from person').pluck().all()).toEqual(['Ines']);
      expect($client.prepare("select kind from entry where id = 'e'").pluck().all()).toEqual(
        count <= 7 ? ['try'] : expect.any(Array),
      );
      expect($client.pragma('integrity_check', { simple: true })).toBe('ok');
      closeDb(db);
      const kept = readdirSync(dirname(path)).filter((name) => name.includes('before'));
      const isLatest = count === journal.entries.length;
      expect(kept).toEqual(isLatest ? [] : [`mivvel.before-update-${count}.sqlite`]);
      for (const name of kept) expect(people(join(dirname(path), name))).toEqual(['Ines']);
    },
  );

  it('is not copied again where the update was broken off', () => {
    const path = begun(3);
    const kept = join(dirname(path), 'mivvel.before-update-3.sqlite');
    writeFileSync(kept, 'the first copy');
    closeDb(openDb(path));
    expect(readFileSync(kept, 'utf8')).toBe('the first copy');
  });
});
