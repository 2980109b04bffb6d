import { and, asc, eq, isNull } from 'drizzle-orm';
import type { PersonId, StudioId } from '@/core/studio';
import { connectionOf, writing, type Db } from '../connection';
import { account, login, person, studio } from '../schema';
import { usePass } from './passes';

/** Gives somebody an account, that they sign in to with a password.
 * @param hash of the password  @returns false where the address has an account already */
export function insertAccount(
  db: Db,
  { id, email, hash, now }: { id: string; email: string; hash: string; now: number },
): boolean {
  const connection = connectionOf(db);
  const at = { createdAt: new Date(now), updatedAt: new Date(now) };
  return writing(connection, () => {
    const known = connection.select().from(account).where(eq(account.email, email)).get();
    if (known) return false;
    connection
      .insert(account)
      .values({ id, email, emailVerified: true, ...at })
      .run();
    connection
      .insert(login)
      .values({ id, accountId: id, providerId: 'credential', userId: id, password: hash, ...at })
      .run();
    return true;
  });
}

/** From now on this account signs in as this person. */
export function bindAccount(db: Db, accountId: string, id: PersonId): void {
  connectionOf(db).update(person).set({ accountId }).where(eq(person.id, id)).run();
}

/** A teacher comes in by an invitation: it is used, and the account signs in as them from now on.
 * @returns false where the invitation was used already; of two who try at once, one comes in */
export function joinStudio(
  db: Db,
  invitation: string,
  {
    studioId,
    accountId,
    ...teacher
  }: { studioId: StudioId; accountId: string; id: PersonId; name: string },
): boolean {
  const connection = connectionOf(db);
  return writing(connection, () => {
    if (!usePass(db, invitation)) return false;
    connection
      .insert(person)
      .values({ ...teacher, studioId, accountId, role: 'teacher' })
      .run();
    return true;
  });
}

/** Who an account may look as, the one who came first first. */
export function peopleOfAccount(db: Db, accountId: string) {
  return connectionOf(db)
    .select({
      ...{ id: person.id, studioId: person.studioId, role: person.role },
      ...{ studio: studio.name, address: studio.address },
    })
    .from(person)
    .innerJoin(studio, eq(studio.id, person.studioId))
    .where(and(eq(person.accountId, accountId), isNull(person.archivedAt)))
    .orderBy(asc(person.id))
    .all();
}

/** The address of an account. */
export function emailOf(db: Db, accountId: string): string | null {
  return (
    connectionOf(db)
      .select({ email: account.email })
      .from(account)
      .where(eq(account.id, accountId))
      .get()?.email ?? null
  );
}

/** The account of an address. */
export function accountOfEmail(db: Db, email: string): string | null {
  return (
    connectionOf(db).select({ id: account.id }).from(account).where(eq(account.email, email)).get()
      ?.id ?? null
  );
}

/** Studios that nobody has made their own since accounts came: their owners have no account. */
export function listUnclaimed(
  db: Db,
): readonly { readonly id: StudioId; readonly name: string; readonly owner: PersonId }[] {
  return connectionOf(db)
    .select({ id: studio.id, name: studio.name, owner: person.id })
    .from(studio)
    .innerJoin(person, and(eq(person.studioId, studio.id), eq(person.role, 'owner')))
    .where(and(eq(studio.demo, false), isNull(person.accountId), isNull(person.archivedAt)))
    .orderBy(asc(studio.id))
    .all();
}

/** Marks a studio as one to look around in. */
export function setDemo(db: Db, id: StudioId): void {
  connectionOf(db).update(studio).set({ demo: true }).where(eq(studio.id, id)).run();
}
