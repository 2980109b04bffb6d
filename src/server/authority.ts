import { fail, ok, type Result } from '@/core/issue';
import type { PersonId, Viewer } from '@/core/studio';
import { studioStore, type StudentStore, type StudioStore } from '@/db';
import type { Context } from './context';

declare const granted: unique symbol;

/** A teacher at work: what they may touch is their own studio, and there is no way to anything else. */
export interface Teacher {
  readonly [granted]: true;
  readonly role: 'teacher';
  readonly now: Context['now'];
  readonly store: StudioStore;
}

/** A student at work: what they may touch is their own. */
export interface Student {
  readonly [granted]: true;
  readonly role: 'student';
  readonly now: Context['now'];
  readonly store: StudentStore;
}

/** @returns issue `not-yours` for anybody but a teacher */
export function asTeacher({ db, now }: Context, viewer: Viewer | null): Result<Teacher> {
  if (viewer?.role !== 'teacher') return fail({ code: 'not-yours', path: [], what: 'page' });
  const store = studioStore(db, viewer.studioId);
  return ok({ role: 'teacher', now, store } as Teacher);
}

/** @returns issue `not-yours` for anybody but a student */
export function asStudent({ db, now }: Context, viewer: Viewer | null): Result<Student> {
  const store = viewer && studioStore(db, viewer.studioId).student(viewer.personId);
  if (viewer?.role !== 'student' || !store) {
    return fail({ code: 'not-yours', path: [], what: 'page' });
  }
  return ok({ role: 'student', now, store } as Student);
}

/** @returns issue `not-yours` for nobody */
export function asEither(context: Context, viewer: Viewer | null): Result<Teacher | Student> {
  return viewer?.role === 'teacher' ? asTeacher(context, viewer) : asStudent(context, viewer);
}

/** A student's own store: for a teacher any of the studio's, for a student just theirs.
 * @returns issues `not-found`, `not-yours` */
export function openStudent(me: Teacher | Student, id: PersonId): Result<StudentStore> {
  if (me.role === 'student') {
    return me.store.id === id
      ? ok(me.store)
      : fail({ code: 'not-yours', path: ['id'], what: 'record' });
  }
  const store = me.store.student(id);
  return store ? ok(store) : fail({ code: 'not-found', path: ['id'], what: 'student' });
}
