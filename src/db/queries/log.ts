import { and, asc, desc, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { Decision } from '@/core/ladder';
import type {
  AssignmentId,
  BrokeInput,
  Day,
  DoneDay,
  EntryId,
  ItemId,
  LoggedDecision,
  LoggedTry,
  PersonId,
  RemarkInput,
  SessionId,
  StudioId,
  Suffered,
  SufferedInput,
  TryInput,
} from '@/core/studio';
import type { Db } from '../open';
import { logEntry, session } from '../schema';

interface Context {
  readonly studioId: StudioId;
  readonly studentId: PersonId;
  readonly at: number;
  readonly day: Day;
}

interface Place {
  readonly assignmentId: AssignmentId;
  readonly itemId: ItemId;
  readonly sessionId: SessionId;
}

type Row = typeof logEntry.$inferInsert;

/** Stores entries, all or none; one that is there already (the same id) changes nothing. The first
 * entry of a session begins it. */
function insertEntries(db: Db, rows: readonly Row[]): void {
  db.transaction((tx) => {
    for (const row of rows) {
      const { sessionId: id, studioId, studentId, at, day } = row;
      tx.insert(session)
        .values({ id, studioId, studentId, startedAt: at, day })
        .onConflictDoNothing()
        .run();
      tx.insert(logEntry).values(row).onConflictDoNothing().run();
    }
  });
}

type StoredTry = Omit<TryInput, 'agoMs'> & { readonly hash: string; readonly paper?: boolean };

export function insertTries(
  db: Db,
  entries: readonly { readonly entry: StoredTry; readonly context: Context }[],
): void {
  insertEntries(
    db,
    entries.map(({ entry, context }) => ({ ...entry, ...context, kind: 'try' })),
  );
}

export function insertSuffered(
  db: Db,
  { id, tryId, what, limb }: SufferedInput,
  of: Place,
  context: Context,
): void {
  insertEntries(db, [
    { id, tryId, suffered: { what, limb }, ...placeOf(of), ...context, kind: 'suffered' },
  ]);
}

export function insertBroke(
  db: Db,
  { id, tryId, beat }: BrokeInput,
  of: Place,
  context: Context,
): void {
  insertEntries(db, [{ id, tryId, beat, ...placeOf(of), ...context, kind: 'broke' }]);
}

export function insertRemark(
  db: Db,
  { id, tryId, text }: RemarkInput,
  of: Place,
  context: Context,
): void {
  insertEntries(db, [{ id, tryId, text, ...placeOf(of), ...context, kind: 'remark' }]);
}

export function insertDecision(
  db: Db,
  { id, decision }: { readonly id: EntryId; readonly decision: Decision },
  of: Place,
  context: Context,
): void {
  insertEntries(db, [{ id, decision, ...placeOf(of), ...context, kind: 'decided' }]);
}

export function insertTakenBack(
  db: Db,
  { id, decisionId }: { readonly id: EntryId; readonly decisionId: EntryId },
  of: Place,
  context: Context,
): void {
  insertEntries(db, [{ id, tryId: decisionId, ...placeOf(of), ...context, kind: 'taken-back' }]);
}

function placeOf({ assignmentId, itemId, sessionId }: Place): Place {
  return { assignmentId, itemId, sessionId };
}

type EntryRow = typeof logEntry.$inferSelect;

/** The entry with this id and kind, when it is this student's. */
export function findEntry(
  db: Db,
  studentId: PersonId,
  id: EntryId,
  kind: EntryRow['kind'],
): EntryRow | null {
  return (
    db
      .select()
      .from(logEntry)
      .where(and(eq(logEntry.id, id), eq(logEntry.studentId, studentId), eq(logEntry.kind, kind)))
      .get() ?? null
  );
}

/** The student that a session belongs to, when it has begun. */
export function findSessionStudent(db: Db, id: SessionId): PersonId | null {
  return (
    db.select({ studentId: session.studentId }).from(session).where(eq(session.id, id)).get()
      ?.studentId ?? null
  );
}

/** What a student's log says of an item, in order. */
export interface ItemLog {
  readonly tries: readonly LoggedTry[];
  readonly decisions: readonly LoggedDecision[];
}

/** Grows with every entry that is stored. */
const ROW = sql<number>`log_entry.rowid`;

/** A student's log by item, or that of one item, oldest entry first: by day, within a day in the order
 * in which they were stored, so that a clock that is put back mixes nothing up. */
export function listLog(
  db: Db,
  studentId: PersonId,
  itemId?: ItemId,
): ReadonlyMap<ItemId, ItemLog> {
  const rows = db
    .select({ ...getTableColumns(logEntry), seq: ROW })
    .from(logEntry)
    .where(
      and(
        eq(logEntry.studentId, studentId),
        itemId === undefined ? undefined : eq(logEntry.itemId, itemId),
      ),
    )
    .orderBy(asc(logEntry.day), asc(ROW))
    .all();
  const suffered = new Map<EntryId, Suffered[]>();
  const broke = new Map<EntryId, number[]>();
  const remarks = new Map<EntryId, string>();
  const takenBack = new Set<EntryId>();
  for (const { kind, tryId, suffered: what, beat, text } of rows) {
    if (!tryId) continue;
    if (kind === 'suffered' && what) add(suffered, tryId, what);
    else if (kind === 'broke' && beat !== null) add(broke, tryId, beat);
    else if (kind === 'remark' && text !== null) remarks.set(tryId, text);
    else if (kind === 'taken-back') takenBack.add(tryId);
  }
  const log = new Map<ItemId, { tries: LoggedTry[]; decisions: LoggedDecision[] }>();
  for (const row of rows) {
    const { id, itemId: of, at, day, seq } = row;
    let mine = log.get(of);
    if (!mine) log.set(of, (mine = { tries: [], decisions: [] }));
    if (row.kind === 'decided' && row.decision) {
      const back = takenBack.has(id);
      const { decision } = row;
      const entry = { id, itemId: of, at, day, seq };
      mine.decisions.push({ kind: 'decided', ...entry, decision, takenBack: back });
    }
    if (row.kind !== 'try' || row.verdict === null || row.bpm === null) continue;
    mine.tries.push({
      kind: 'try',
      id,
      itemId: of,
      at,
      day,
      seq,
      bpm: row.bpm,
      rung: row.rung,
      verdict: row.verdict,
      bars: row.bars ?? 0,
      seconds: row.seconds ?? 0,
      paper: row.paper ?? false,
      suffered: suffered.get(id) ?? [],
      broke: broke.get(id) ?? [],
      remark: remarks.get(id) ?? '',
    });
  }
  return log;
}

function add<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const known = map.get(key);
  if (known) known.push(value);
  else map.set(key, [value]);
}

/** Where the log of each student ends: a number that grows with every entry.
 * @returns 0 for a student without entries */
export function latestEntries(
  db: Db,
  studentIds: readonly PersonId[],
): ReadonlyMap<PersonId, number> {
  const one = db
    .select({ seq: ROW })
    .from(logEntry)
    .where(eq(logEntry.studentId, sql.placeholder('student')))
    .orderBy(desc(ROW))
    .limit(1)
    .prepare();
  return new Map(studentIds.map((id) => [id, one.get({ student: id })?.seq ?? 0]));
}

/** The dates on which a student practised, in order, whatever it was. */
export function listDoneDays(db: Db, studentId: PersonId): DoneDay[] {
  return db
    .select({
      day: logEntry.day,
      tries: sql<number>`count(*)`,
      seconds: sql<number>`coalesce(sum(${logEntry.seconds}), 0)`,
    })
    .from(logEntry)
    .where(and(eq(logEntry.studentId, studentId), eq(logEntry.kind, 'try')))
    .groupBy(logEntry.day)
    .orderBy(asc(logEntry.day))
    .all();
}

/** Whether any of these entries is stored already. */
export function storedIds(db: Db, ids: readonly EntryId[]): ReadonlySet<EntryId> {
  const rows = db
    .select({ id: logEntry.id })
    .from(logEntry)
    .where(inArray(logEntry.id, [...ids]))
    .all();
  return new Set(rows.map((row) => row.id));
}

/** What anybody of the studio ever practised, by recipe hash. */
export function listPractised(db: Db, studioId: StudioId): string[] {
  return db
    .selectDistinct({ hash: logEntry.hash })
    .from(logEntry)
    .where(and(eq(logEntry.studioId, studioId), eq(logEntry.kind, 'try')))
    .all()
    .flatMap((row) => row.hash ?? []);
}
