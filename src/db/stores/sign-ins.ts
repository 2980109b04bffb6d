import { and, desc, eq, gt, inArray, isNull, lte, ne, sql, type SQL } from 'drizzle-orm';
import type { PersonId, StudioId, Viewer } from '@/core/studio';
import { connectionOf, writing, type Connection, type Db } from '../connection';
import { prepared } from '../prepared';
import { account, person, signIn } from '../schema';
import { sha256 } from '../sha256';

/** A browser that somebody is signed in on, and who they look as. Instants in epoch ms. */
export interface SignedIn extends Viewer {
  readonly id: string;
  readonly name: string;
  readonly accountId: string;
  /** On the studio's tablet, by their number. */
  readonly onTablet: boolean;
  readonly endsAt: number;
  /** When its end was last put off. */
  readonly lastAt: number;
  /** When its cookie last got another content. */
  readonly rotatedAt: number;
}

/** A device in a list of them. */
export interface Device {
  readonly id: string;
  readonly agent: string;
  readonly since: number;
  /** When it was last used, to a day. */
  readonly lastAt: number;
  readonly onTablet: boolean;
}

const columns = {
  id: signIn.id,
  accountId: signIn.accountId,
  tabletId: signIn.tabletId,
  endsAt: signIn.endsAt,
  lastAt: signIn.lastAt,
  rotatedAt: signIn.rotatedAt,
  personId: person.id,
  studioId: person.studioId,
  role: person.role,
  name: person.name,
};

const isTheirs = and(
  eq(person.id, signIn.personId),
  eq(person.accountId, signIn.accountId),
  isNull(person.archivedAt),
);

const byToken = prepared((db) =>
  db
    .select(columns)
    .from(signIn)
    .innerJoin(person, isTheirs)
    .where(eq(signIn.token, sql.placeholder('token')))
    .prepare(),
);

const byTokenBefore = prepared((db) =>
  db
    .select(columns)
    .from(signIn)
    .innerJoin(person, isTheirs)
    .where(eq(signIn.tokenBefore, sql.placeholder('token')))
    .prepare(),
);

/** How long a cookie's former content is still good for: answers that crossed it are on their way. */
const CROSSING_MS = 60_000;

/** Who is signed in with what a cookie holds; null where nobody is (any more). */
export function findSignIn(db: Db, token: string, now: number): SignedIn | null {
  const connection = connectionOf(db);
  const hash = sha256(token);
  const latest = byToken(connection).get({ token: hash });
  const found = latest ?? byTokenBefore(connection).get({ token: hash });
  if (!found || found.endsAt <= now) return null;
  if (!latest && now - found.rotatedAt > CROSSING_MS) return null;
  const { tabletId, ...rest } = found;
  return { ...rest, onTablet: tabletId !== null };
}

export interface NewSignIn {
  readonly id: string;
  readonly token: string;
  readonly personId: PersonId;
  readonly tabletId: string | null;
  readonly agent: string;
  readonly now: number;
  readonly endsAt: number;
}

/** Signs somebody in on a browser, by an account of their own that is made when they first come.
 * @param accountId a new id, for whoever has no account yet */
export function insertSignIn(db: Db, row: NewSignIn, accountId: string): void {
  const connection = connectionOf(db);
  const { token, now, ...rest } = row;
  writing(connection, () => {
    const whose = eq(person.id, row.personId);
    const known = connection
      .select({ accountId: person.accountId })
      .from(person)
      .where(whose)
      .get();
    if (!known) throw new Error(`nobody is ${row.personId}`);
    if (known.accountId === null) {
      const email = `${accountId}@nowhere.invalid`;
      const at = new Date(now);
      connection
        .insert(account)
        .values({ id: accountId, email, createdAt: at, updatedAt: at })
        .run();
      connection.update(person).set({ accountId }).where(whose).run();
    }
    const at = { createdAt: now, lastAt: now, rotatedAt: now };
    connection
      .insert(signIn)
      .values({ ...rest, ...at, accountId: known.accountId ?? accountId, token: sha256(token) })
      .run();
  });
}

/** Puts the end of a sign-in off. */
export function prolongSignIn(db: Db, id: string, now: number, endsAt: number): void {
  connectionOf(db).update(signIn).set({ lastAt: now, endsAt }).where(eq(signIn.id, id)).run();
}

/** Gives a sign-in another token; of two who ask at once, one does.
 * @returns whether this one did */
export function rotateSignIn(db: Db, from: SignedIn, token: string, now: number): boolean {
  const done = connectionOf(db)
    .update(signIn)
    .set({
      tokenBefore: sql`${signIn.token}`,
      token: sha256(token),
      rotatedAt: now,
    })
    .where(and(eq(signIn.id, from.id), eq(signIn.rotatedAt, from.rotatedAt)))
    .run();
  return done.changes > 0;
}

/** Looks as another of the account's people from now on. @returns whether it is one */
export function switchSignIn(db: Db, { id, accountId }: SignedIn, to: PersonId): boolean {
  const connection = connectionOf(db);
  const theirs = and(eq(person.id, to), eq(person.accountId, accountId), isNull(person.archivedAt));
  const found = connection.select({ id: person.id }).from(person).where(theirs).get();
  if (!found) return false;
  connection.update(signIn).set({ personId: to }).where(eq(signIn.id, id)).run();
  return true;
}

/** Ends one sign-in of an account, or all of them.
 * @param but one that stays */
export function endSignIns(
  db: Db,
  accountId: string,
  which: { readonly id?: string; readonly but?: string } = {},
): void {
  const { id, but } = which;
  connectionOf(db)
    .delete(signIn)
    .where(
      and(
        eq(signIn.accountId, accountId),
        id === undefined ? undefined : eq(signIn.id, id),
        but === undefined ? undefined : ne(signIn.id, but),
      ),
    )
    .run();
}

/** Where an account is signed in, latest first. */
export function devicesOfAccount(db: Db, accountId: string, now: number): readonly Device[] {
  return devices(connectionOf(db), eq(signIn.accountId, accountId), now);
}

function devices(db: Connection, whose: SQL, now: number): readonly Device[] {
  const { id, agent, createdAt, lastAt, tabletId } = signIn;
  const rows = db
    .select({ id, agent, since: createdAt, lastAt, tabletId })
    .from(signIn)
    .where(and(whose, gt(signIn.endsAt, now)))
    .orderBy(desc(createdAt))
    .all();
  return rows.map(({ tabletId: tablet, ...one }) => ({ ...one, onTablet: tablet !== null }));
}

/** Where one person of a studio is signed in. */
export function signInsOf(db: Connection, studioId: StudioId, personId: PersonId) {
  const people = db
    .select({ id: person.id })
    .from(person)
    .where(and(eq(person.studioId, studioId), eq(person.id, personId)));
  const theirs = inArray(signIn.personId, people);
  return {
    list: (now: number) => devices(db, theirs, now),
    /** @param id one of them; all of them when left out */
    end(id?: string): void {
      db.delete(signIn)
        .where(and(theirs, id === undefined ? undefined : eq(signIn.id, id)))
        .run();
    },
  };
}

/** Forgets sign-ins that have ended. */
export function forgetEndedSignIns(db: Db, now: number): void {
  connectionOf(db).delete(signIn).where(lte(signIn.endsAt, now)).run();
}
