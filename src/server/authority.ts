import { fail, ok, type Result } from '@/core/issue';
import type { PersonId, Viewer } from '@/core/studio';
import {
  ownerStore,
  studentStore,
  studioStore,
  type OwnerStore,
  type StudentStore,
  type StudioStore,
  type WaysStore,
} from '@/db';
import type { Context } from './context';

declare const granted: unique symbol;

/** A teacher at work: what they may touch is their own studio and the students whom they teach, and there is no way to
 * anything else. The owner teaches everybody. */
export interface Teacher {
  readonly [granted]: true;
  readonly role: 'teacher';
  readonly id: PersonId;
  readonly now: Context['now'];
  readonly store: StudioStore;
}

/** The owner, who lets teachers in and out besides. */
export interface Owner extends Teacher {
  readonly owned: OwnerStore;
}

/** A student at work: what they may touch is their own. */
export interface Student {
  readonly [granted]: true;
  readonly role: 'student';
  readonly id: PersonId;
  readonly now: Context['now'];
  readonly store: StudentStore;
}

const NOT_YOURS = { code: 'not-yours', path: [], what: 'page' } as const;

/** @returns issue `not-yours` for anybody but a teacher or the owner */
export function asTeacher({ db, now }: Context, viewer: Viewer | null): Result<Teacher> {
  if (!viewer || viewer.role === 'student') return fail(NOT_YOURS);
  const { studioId, role, personId: id } = viewer;
  const store = studioStore(db, { studioId, role, personId: id });
  return ok({ role: 'teacher', id, now, store } as Teacher);
}

/** @returns issue `not-yours` for anybody but the owner */
export function asOwner(context: Context, viewer: Viewer | null): Result<Owner> {
  const teacher = asTeacher(context, viewer);
  if (!teacher.ok || viewer?.role !== 'owner') return fail(NOT_YOURS);
  return ok({ ...teacher.value, owned: ownerStore(context.db, viewer.studioId) });
}

/** @returns issue `not-yours` for anybody but a student */
export function asStudent({ db, now }: Context, viewer: Viewer | null): Result<Student> {
  const store =
    viewer?.role === 'student' ? studentStore(db, viewer.studioId, viewer.personId) : null;
  return store ? ok({ role: 'student', id: store.id, now, store } as Student) : fail(NOT_YOURS);
}

/** @returns issue `not-yours` for nobody */
export function asEither(context: Context, viewer: Viewer | null): Result<Teacher | Student> {
  return viewer?.role === 'student' ? asStudent(context, viewer) : asTeacher(context, viewer);
}

/** A student's own store: for a teacher any of theirs, for a student just their own.
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

/** How a student gets in, for a teacher of theirs. @returns issue `not-found` */
export function openWays(me: Teacher, id: PersonId): Result<WaysStore> {
  const ways = me.store.waysIn(id);
  return ways ? ok(ways) : fail({ code: 'not-found', path: ['id'], what: 'student' });
}
