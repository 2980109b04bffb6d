import { and, asc, desc, eq, getTableColumns, inArray, isNotNull, lt, or } from 'drizzle-orm';
import {
  readBody,
  takenBackIds,
  type Author,
  type Body,
  type EntryKind,
  type Logged,
} from '@/core/log';
import type {
  AssignmentId,
  Day,
  EntryId,
  ItemId,
  PersonId,
  SessionId,
  StudioId,
} from '@/core/studio';
import type { Connection } from '../connection';
import { prepared } from '../prepared';
import { entry } from '../schema';

/** An entry that is ready to be stored. */
export interface NewEntry {
  readonly kind: EntryKind;
  readonly id: EntryId;
  readonly by: Author;
  readonly at: number;
  readonly day: Day;
  readonly assignmentId: AssignmentId | null;
  readonly itemId: ItemId | null;
  readonly sessionId: SessionId | null;
  readonly about: EntryId | null;
  /** What was played, by the recipe's hash. */
  readonly hash: string | null;
  readonly body: Body<EntryKind>;
}

/** A stored entry with where it belongs. */
export type Placed = Logged & Pick<NewEntry, 'assignmentId' | 'sessionId'>;

type Raw = readonly [
  seq: number,
  id: EntryId,
  itemId: ItemId | null,
  kind: EntryKind,
  about: EntryId | null,
  by: Author,
  at: number,
  day: Day,
  body: string,
];

const RAW = 'select seq, id, item_id, kind, about, "by", at, day, body from entry';

function loggedOf([seq, id, itemId, kind, about, by, at, day, body]: Raw): Logged {
  const said = readBody(kind, JSON.parse(body));
  return { kind, id, seq, itemId, about, by, at, day, body: said } as Logged;
}

/** What long logs are read with, and what each write asks. */
const preparedFor = prepared(({ $client }) => {
  const read = (where: string) => $client.prepare(`${RAW} where ${where}`).raw();
  const owner = (table: string) =>
    $client.prepare(`select studio_id, student_id from ${table} where id = ?`).raw();
  return {
    latest: $client
      .prepare('select max(seq) from entry where studio_id = ? and student_id = ?')
      .raw(),
    since: read('studio_id = ? and student_id = ? and seq > ? order by seq'),
    item: read('studio_id = ? and student_id = ? and item_id = ? order by day, seq'),
    ownerOfEntry: owner('entry'),
    ownerOfSession: owner('session'),
    beginSession: $client.prepare(
      'insert or ignore into session (id, studio_id, student_id, started_at, day) values (?, ?, ?, ?, ?)',
    ),
    insert: $client.prepare(
      `insert into entry (id, studio_id, student_id, assignment_id, item_id, session_id, kind, about, "by", at, day,
       hash, body) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    ),
  };
});

/** The log of one student. */
export function logOf(db: Connection, studioId: StudioId, studentId: PersonId) {
  const mine = and(eq(entry.studioId, studioId), eq(entry.studentId, studentId));
  const isMine = (owner: unknown) =>
    Array.isArray(owner) ? owner[0] === studioId && owner[1] === studentId : null;
  return {
    /** Entries that were stored after the one with this number, as they were stored. */
    since(seq: number): readonly Logged[] {
      return (preparedFor(db).since.all(studioId, studentId, seq) as Raw[]).map(loggedOf);
    },

    /** The whole log as it was stored, with where each entry belongs. */
    whole(): readonly NewEntry[] {
      const { seq: _, studioId: __, studentId: ___, ...of } = getTableColumns(entry);
      const rows = db.select(of).from(entry).where(mine).orderBy(asc(entry.seq)).all();
      return rows.map((row) => ({ ...row, body: readBody(row.kind, JSON.parse(row.body)) }));
    },

    /** All entries of an item. */
    ofItem(itemId: ItemId): readonly Logged[] {
      return (preparedFor(db).item.all(studioId, studentId, itemId) as Raw[]).map(loggedOf);
    },

    /** Where the log ends; 0 for a student without entries. */
    latest(): number {
      const [[seq] = [null]] = preparedFor(db).latest.all(studioId, studentId) as (
        | number
        | null
      )[][];
      return seq ?? 0;
    },

    /** Entries with these ids, in the order of the log. */
    find(ids: readonly EntryId[]): readonly Placed[] {
      if (ids.length === 0) return [];
      return db
        .select()
        .from(entry)
        .where(and(mine, inArray(entry.id, [...ids])))
        .orderBy(asc(entry.day), asc(entry.seq))
        .all()
        .map((row) => ({ ...row, body: readBody(row.kind, JSON.parse(row.body)) }) as Placed);
    },

    /** Tries of an item before a place in its log, latest first, with what was said about them, and all of the item
     * that was taken back. */
    triesBefore(
      itemId: ItemId,
      before: { readonly day: Day; readonly seq: number } | null,
      most: number,
    ): { readonly tries: readonly Logged[]; readonly said: readonly Logged[] } {
      const earlier =
        before === null
          ? undefined
          : or(
              lt(entry.day, before.day),
              and(eq(entry.day, before.day), lt(entry.seq, before.seq)),
            );
      const rows = db
        .select()
        .from(entry)
        .where(and(mine, eq(entry.itemId, itemId), eq(entry.kind, 'try'), earlier))
        .orderBy(desc(entry.day), desc(entry.seq))
        .limit(most)
        .all();
      const ids = rows.map((row) => row.id);
      const said = db
        .select()
        .from(entry)
        .where(
          and(
            ...[mine, eq(entry.itemId, itemId), isNotNull(entry.about)],
            or(inArray(entry.about, ids), eq(entry.kind, 'taken-back')),
          ),
        )
        .orderBy(asc(entry.seq))
        .all();
      const read = (row: (typeof rows)[number]) =>
        ({ ...row, body: readBody(row.kind, JSON.parse(row.body)) }) as Logged;
      return { tries: rows.map(read), said: said.map(read) };
    },

    /** Whose an entry is that is stored already, whoever asks; null where none is. */
    isMine(id: EntryId): boolean | null {
      return isMine(preparedFor(db).ownerOfEntry.get(id));
    },

    /** Whether a sitting is this student's; null where it has not begun. */
    isMySession(id: SessionId): boolean | null {
      return isMine(preparedFor(db).ownerOfSession.get(id));
    },

    /** Stores an entry; the first of a sitting begins it. */
    insert({ body, id, assignmentId, itemId, sessionId, ...row }: NewEntry): void {
      const { kind, about, by, at, day, hash } = row;
      const { beginSession, insert } = preparedFor(db);
      if (sessionId !== null) beginSession.run(sessionId, studioId, studentId, at, day);
      const place = [studioId, studentId, assignmentId, itemId, sessionId] as const;
      insert.run(id, ...place, kind, about, by, at, day, hash, JSON.stringify(body));
    },
  };
}

/** What anybody of the studio ever practised, by recipe hash; tries that were taken back do not count. */
export function practisedIn(db: Connection, studioId: StudioId): string[] {
  const away = takenBackIds(
    db
      .select({ id: entry.id, about: entry.about })
      .from(entry)
      .where(and(eq(entry.studioId, studioId), eq(entry.kind, 'taken-back')))
      .all(),
  );
  const played = and(eq(entry.studioId, studioId), isNotNull(entry.hash));
  const { id, hash } = entry;
  const rows: readonly { readonly id?: EntryId; readonly hash: string | null }[] =
    away.size > 0
      ? db.select({ id, hash }).from(entry).where(played).all()
      : db.selectDistinct({ hash }).from(entry).where(played).all();
  const standing = rows.filter((row) => row.id === undefined || !away.has(row.id));
  return [...new Set(standing.flatMap((row) => row.hash ?? []))];
}
