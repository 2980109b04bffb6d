import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Note, NoteId, PersonId, StudioId } from '@/core/studio';
import type { Db } from '../open';
import { note } from '../schema';

/** What the teacher wrote to a student, latest first. */
export function listNotes(db: Db, studentId: PersonId): Note[] {
  return db
    .select({ id: note.id, text: note.text, day: note.day, at: note.at })
    .from(note)
    .where(and(eq(note.studentId, studentId), isNull(note.archivedAt)))
    .orderBy(desc(note.at), desc(note.id))
    .all();
}

export function insertNote(db: Db, row: Note & { studioId: StudioId; studentId: PersonId }): void {
  db.insert(note).values(row).run();
}

/** @returns whether there was such a note */
export function setNoteArchived(
  db: Db,
  studioId: StudioId,
  id: NoteId,
  archivedAt: number | null,
): boolean {
  const of = and(eq(note.studioId, studioId), eq(note.id, id));
  return db.update(note).set({ archivedAt }).where(of).run().changes > 0;
}
