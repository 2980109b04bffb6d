import { and, asc, eq } from 'drizzle-orm';
import type {
  Day,
  EntryId,
  ItemId,
  LoggedTry,
  PersonId,
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

/** Stores a try; a second one with the same id changes nothing. The first try of a session
 * begins it. */
export function insertTry(db: Db, entry: TryInput & { hash: string }, context: Context): void {
  db.transaction((tx) => {
    tx.insert(session)
      .values({
        id: entry.sessionId,
        studioId: context.studioId,
        studentId: context.studentId,
        startedAt: context.at,
        day: context.day,
      })
      .onConflictDoNothing()
      .run();
    tx.insert(logEntry)
      .values({ ...entry, ...context, kind: 'try' })
      .onConflictDoNothing()
      .run();
  });
}

/** Stores what suffered in a try; a second one with the same id changes nothing. */
export function insertSuffered(
  db: Db,
  entry: SufferedInput,
  of: Pick<EntryRow, 'assignmentId' | 'itemId' | 'sessionId'>,
  context: Context,
): void {
  const { id, tryId, what, limb } = entry;
  db.insert(logEntry)
    .values({
      id,
      tryId,
      suffered: { what, limb },
      assignmentId: of.assignmentId,
      itemId: of.itemId,
      sessionId: of.sessionId,
      ...context,
      kind: 'suffered',
    })
    .onConflictDoNothing()
    .run();
}

type EntryRow = typeof logEntry.$inferSelect;

/** The try with this id, when it is this student's. */
export function findTry(db: Db, studentId: PersonId, id: EntryId): EntryRow | null {
  return (
    db
      .select()
      .from(logEntry)
      .where(and(eq(logEntry.id, id), eq(logEntry.studentId, studentId), eq(logEntry.kind, 'try')))
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

/** All tries of a student, or those of one item, oldest first. */
export function listTries(db: Db, studentId: PersonId, itemId?: ItemId): LoggedTry[] {
  const rows = db
    .select()
    .from(logEntry)
    .where(
      and(
        eq(logEntry.studentId, studentId),
        itemId === undefined ? undefined : eq(logEntry.itemId, itemId),
      ),
    )
    .orderBy(asc(logEntry.at), asc(logEntry.id))
    .all();
  const suffered = new Map<EntryId, Suffered[]>();
  for (const row of rows) {
    if (row.kind !== 'suffered' || !row.tryId || !row.suffered) continue;
    suffered.set(row.tryId, [...(suffered.get(row.tryId) ?? []), row.suffered]);
  }
  return rows.flatMap((row) => {
    if (row.kind !== 'try' || row.verdict === null || row.bpm === null) return [];
    const { id, itemId, at, day, bpm, verdict } = row;
    return [
      {
        id,
        itemId,
        at,
        day,
        bpm,
        verdict,
        bars: row.bars ?? 0,
        seconds: row.seconds ?? 0,
        suffered: suffered.get(id) ?? [],
      },
    ];
  });
}
