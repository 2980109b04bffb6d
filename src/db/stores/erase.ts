import { and, eq } from 'drizzle-orm';
import type { PersonId, StudioId } from '@/core/studio';
import { connectionOf, writing, type Db } from '../connection';
import {
  account,
  assignment,
  entry,
  pass,
  person,
  projection,
  session,
  signIn,
  teaching,
} from '../schema';
import { freeBytes, StorageError } from '../trouble';

/** Writing a file over takes up to twice its size beside it: <https://sqlite.org/lang_vacuum.html>. */
const ROOM = 2;

/** Takes a student and all that is known of them out of the file: their log, plans, programs given, links, codes and
 * devices; and what lay beneath is written over. Earlier backups still have it until they are let go.
 * @param freeOn bytes that are free on the disk of a file
 * @returns whether there was such a student
 * @throws StorageError `full` where there is no room to write the file over; then nothing is erased */
export function erasePerson(
  db: Db,
  studioId: StudioId,
  id: PersonId,
  freeOn: (file: string) => number = freeBytes,
): boolean {
  const connection = connectionOf(db);
  const { $client } = connection;
  const student = and(eq(person.studioId, studioId), eq(person.id, id), eq(person.role, 'student'));
  const found = connection
    .select({ accountId: person.accountId })
    .from(person)
    .where(student)
    .get();
  if (!found) return false;
  // Once it is gone there is no way back to a moment when all of it could be written over.
  const { name: file } = $client;
  const of = (pragma: string) => Number($client.pragma(pragma, { simple: true }));
  const bytes = of('page_count') * of('page_size');
  if (!$client.memory && freeOn(file) < ROOM * bytes) throw new StorageError('full', file);
  // What is deleted is overwritten with zeros, on its pages and on those that become free.
  $client.pragma('secure_delete = ON');
  try {
    writing(connection, () => {
      connection.delete(entry).where(eq(entry.studentId, id)).run();
      connection.delete(session).where(eq(session.studentId, id)).run();
      connection.delete(assignment).where(eq(assignment.studentId, id)).run();
      connection.delete(projection).where(eq(projection.studentId, id)).run();
      connection.delete(pass).where(eq(pass.personId, id)).run();
      connection.delete(signIn).where(eq(signIn.personId, id)).run();
      connection.delete(teaching).where(eq(teaching.studentId, id)).run();
      connection.delete(person).where(student).run();
      const { accountId } = found;
      if (accountId === null) return;
      const others = connection
        .select({ id: person.id })
        .from(person)
        .where(eq(person.accountId, accountId))
        .get();
      if (!others) connection.delete(account).where(eq(account.id, accountId)).run();
    });
    // What was changed or deleted earlier may still stand where nothing is kept any more, and in the write-ahead log.
    $client.exec('vacuum');
    $client.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    $client.pragma('secure_delete = OFF');
  }
  return true;
}
