import { alias } from 'drizzle-orm/sqlite-core';
import { and, desc, eq, lt } from 'drizzle-orm';
import type { AuditLine, Audited, PersonId, StudioId } from '@/core/studio';
import { connectionOf, type Connection, type Db } from '../connection';
import { audit, person } from '../schema';

export interface NewAudit {
  readonly id: string;
  readonly at: number;
  readonly kind: Audited;
  readonly byId: PersonId | null;
  readonly aboutId: PersonId | null;
}

/** Notes what somebody did; those who may do it need not be able to read it. */
export function auditTo(db: Connection, studioId: StudioId) {
  return (row: NewAudit): void => {
    db.insert(audit)
      .values({ ...row, studioId })
      .run();
  };
}

/** What was done in a studio, latest first. */
export function auditOf(db: Connection, studioId: StudioId, most: number): readonly AuditLine[] {
  const by = alias(person, 'by');
  const about = alias(person, 'about');
  return db
    .select({ id: audit.id, at: audit.at, kind: audit.kind, by: by.name, about: about.name })
    .from(audit)
    .leftJoin(by, eq(by.id, audit.byId))
    .leftJoin(about, eq(about.id, audit.aboutId))
    .where(eq(audit.studioId, studioId))
    .orderBy(desc(audit.at), desc(audit.id))
    .limit(most)
    .all();
}

/** Forgets what happened before an instant. */
export function forgetAudit(db: Db, before: number): void {
  connectionOf(db)
    .delete(audit)
    .where(and(lt(audit.at, before)))
    .run();
}
