import { and, asc, desc, eq, inArray, isNull, lt } from 'drizzle-orm';
import type { PersonId, StudioId } from '@/core/studio';
import { connectionOf, writing, type Db } from '../connection';
import { account, mail, person, signIn, tablet, teaching } from '../schema';
import { sha256 } from '../sha256';
import { auditOf } from './audit';
import { passesOf } from './passes';

/** A teacher as the owner sees them. */
export interface StaffRow {
  readonly id: PersonId;
  readonly name: string;
  readonly role: 'owner' | 'teacher';
  /** Null for a teacher who has not come in yet. */
  readonly email: string | null;
  readonly students: readonly PersonId[];
}

export interface MailRow {
  readonly id: string;
  readonly at: number;
  readonly to: string;
  readonly sealed: string;
}

export interface Tablet {
  readonly id: string;
  readonly name: string;
  readonly createdAt: number;
}

/** What the owner alone may touch: teachers, tablets, mail that waits, and what was done. */
export function ownerStore(db: Db, studioId: StudioId) {
  const connection = connectionOf(db);
  const isStaff = and(
    eq(person.studioId, studioId),
    inArray(person.role, ['owner', 'teacher']),
    isNull(person.archivedAt),
  );
  return {
    staff(): readonly StaffRow[] {
      const taught = connection
        .select()
        .from(teaching)
        .where(eq(teaching.studioId, studioId))
        .all();
      const rows = connection
        .select({ id: person.id, name: person.name, role: person.role, email: account.email })
        .from(person)
        .leftJoin(account, eq(account.id, person.accountId))
        .where(isStaff)
        .orderBy(asc(person.id))
        .all();
      return rows.map((row) => ({
        ...row,
        role: row.role === 'owner' ? 'owner' : 'teacher',
        students: taught.flatMap((one) => (one.teacherId === row.id ? [one.studentId] : [])),
      }));
    },

    /** A teacher leaves: their students go to another, what they could come in by goes.
     * @returns whether there is such a teacher, and such another */
    letGo(id: PersonId, to: PersonId, at: number): boolean {
      return writing(connection, () => {
        const staff = this.staff();
        const leaves = staff.find((one) => one.id === id && one.role === 'teacher');
        if (!leaves || !staff.some((one) => one.id === to && one.id !== id)) return false;
        for (const studentId of leaves.students) {
          connection
            .insert(teaching)
            .values({ studioId, teacherId: to, studentId })
            .onConflictDoNothing()
            .run();
        }
        connection.delete(teaching).where(eq(teaching.teacherId, id)).run();
        connection.delete(signIn).where(eq(signIn.personId, id)).run();
        connection
          .update(person)
          .set({ archivedAt: at, accountId: null })
          .where(eq(person.id, id))
          .run();
        return true;
      });
    },

    /** Another teacher owns the studio. Who did so teaches on, those included whom nobody else does.
     * @returns whether there is such a teacher, who has an account */
    handOver(from: PersonId, to: PersonId): boolean {
      return writing(connection, () => {
        const next = this.staff().find((one) => one.id === to && one.role === 'teacher');
        if (!next || next.email === null) return false;
        const taught = new Set(this.staff().flatMap(({ students }) => students));
        const students = connection
          .select({ id: person.id })
          .from(person)
          .where(and(eq(person.studioId, studioId), eq(person.role, 'student')))
          .all();
        for (const { id: studentId } of students.filter(({ id }) => !taught.has(id))) {
          connection.insert(teaching).values({ studioId, teacherId: from, studentId }).run();
        }
        const roleOf = (id: PersonId, role: 'owner' | 'teacher') =>
          connection.update(person).set({ role }).where(eq(person.id, id)).run();
        roleOf(from, 'teacher');
        roleOf(to, 'owner');
        return true;
      });
    },

    invitations: passesOf(connection, studioId, ['teacher']),

    tablets(): readonly Tablet[] {
      return connection
        .select({ id: tablet.id, name: tablet.name, createdAt: tablet.createdAt })
        .from(tablet)
        .where(eq(tablet.studioId, studioId))
        .orderBy(asc(tablet.id))
        .all();
    },

    /** Who is signed in on it is so no longer. @returns whether there was such a one */
    endTablet(id: string): boolean {
      const one = and(eq(tablet.studioId, studioId), eq(tablet.id, id));
      return connection.delete(tablet).where(one).run().changes > 0;
    },

    mails(): readonly MailRow[] {
      return connection
        .select({ id: mail.id, at: mail.at, to: mail.to, sealed: mail.sealed })
        .from(mail)
        .where(eq(mail.studioId, studioId))
        .orderBy(desc(mail.at), desc(mail.id))
        .all();
    },

    keepMail: (row: MailRow) => keepMail(db, studioId, row),
    audit: (most: number) => auditOf(connection, studioId, most),
  };
}

export type OwnerStore = ReturnType<typeof ownerStore>;

/** Keeps mail until the owner has read it. */
export function keepMail(db: Db, studioId: StudioId, row: MailRow): void {
  connectionOf(db)
    .insert(mail)
    .values({ ...row, studioId })
    .run();
}

/** Forgets mail that is older than an instant. */
export function forgetMail(db: Db, before: number): void {
  connectionOf(db).delete(mail).where(lt(mail.at, before)).run();
}

/** The tablet whose cookie holds this; null where it is none (any more). */
export function findTablet(
  db: Db,
  token: string,
): (Tablet & { readonly studioId: StudioId }) | null {
  const { id, name, createdAt, studioId } = tablet;
  return (
    connectionOf(db)
      .select({ id, name, createdAt, studioId })
      .from(tablet)
      .where(eq(tablet.hash, sha256(token)))
      .get() ?? null
  );
}
