import { and, asc, eq, inArray, isNull, or, gt } from 'drizzle-orm';
import type { PassKind, PersonId, ProgramId, StudioId } from '@/core/studio';
import { connectionOf, type Connection, type Db } from '../connection';
import { pass } from '../schema';

/** What opens one thing to whoever holds it. Instants in epoch ms. */
export interface Pass {
  readonly id: string;
  readonly studioId: StudioId;
  readonly kind: PassKind;
  readonly personId: PersonId | null;
  readonly programId: ProgramId | null;
  /** Who it is for. */
  readonly name: string;
  readonly email: string | null;
  readonly hash: string | null;
  readonly createdAt: number;
  readonly endsAt: number | null;
}

type Kept = Omit<Pass, 'studioId'>;

const good = (now: number) => or(isNull(pass.endsAt), gt(pass.endsAt, now));

/** A pass by its id, whichever studio's it is; null where there is none (any more). */
export function findPass(db: Db, id: string, now: number): Pass | null {
  return (
    connectionOf(db)
      .select()
      .from(pass)
      .where(and(eq(pass.id, id), good(now)))
      .get() ?? null
  );
}

/** A pass by the hash of what opens it. */
export function findPassByHash(db: Db, hash: string, now: number): Pass | null {
  return (
    connectionOf(db)
      .select()
      .from(pass)
      .where(and(eq(pass.hash, hash), good(now)))
      .get() ?? null
  );
}

/** Takes a pass that opens once. @returns whether it was there; of two who try at once, one gets it */
export function usePass(db: Db, id: string): boolean {
  return connectionOf(db).delete(pass).where(eq(pass.id, id)).run().changes > 0;
}

/** What a studio has handed out, of some kinds alone.
 * @param own whose they are; anybody's when left out */
export function passesOf<Kind extends PassKind>(
  db: Connection,
  studioId: StudioId,
  kinds: readonly Kind[],
  own: Partial<Pick<Pass, 'personId'>> = {},
) {
  const theirs = and(
    eq(pass.studioId, studioId),
    inArray(pass.kind, [...kinds]),
    own.personId ? eq(pass.personId, own.personId) : undefined,
  );
  return {
    /** Those that still open something, oldest first. */
    list(now: number): readonly Kept[] {
      return db
        .select()
        .from(pass)
        .where(and(theirs, good(now)))
        .orderBy(asc(pass.id))
        .all();
    },

    insert(row: Omit<Kept, 'personId' | 'kind'> & { readonly kind: Kind }): void {
      db.insert(pass)
        .values({ ...row, ...own, studioId })
        .run();
    },

    /** @returns whether there was such a one */
    end(id: string): boolean {
      return (
        db
          .delete(pass)
          .where(and(theirs, eq(pass.id, id)))
          .run().changes > 0
      );
    },

    /** All of a kind. */
    endAll(kind: Kind): void {
      db.delete(pass)
        .where(and(theirs, eq(pass.kind, kind)))
        .run();
    },
  };
}
