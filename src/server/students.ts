import { ok, type Result } from '@/core/issue';
import type { KitProfile } from '@/core/kit';
import { needsOf } from '@/core/roster';
import type { Note, PersonId, StandItem, StudentRecord } from '@/core/studio';
import { openStudent, type Student, type Teacher } from './authority';
import { progressOf } from './progress';
import {
  itemStandings,
  lastDayOf,
  practiceDay,
  recordOf,
  standItems,
  weakPlaces,
} from './standing';

/** What the student has to do, in order. */
export function getToday({ now, store }: Student): Result<readonly StandItem[]> {
  return ok(standItems(progressOf(store), practiceDay({ now, store })));
}

/** What the teacher wrote to the student who looks, latest first. */
export function listNotes({ store }: Student): Result<readonly Note[]> {
  return ok(progressOf(store).notes);
}

/** Everything about one student: a teacher sees all of the studio's, a student their own.
 * @returns issues of opening the student */
export function getRecord(me: Teacher | Student, studentId: PersonId): Result<StudentRecord> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  const progress = progressOf(store);
  const today = practiceDay({ now: me.now, store });
  const weak = weakPlaces(progress);
  const items = standItems(progress, today);
  return ok({
    student: store.person,
    items: progress.items.flatMap((placed, index) => {
      const item = items[index];
      return item ? [recordOf(store, placed, item)] : [];
    }),
    today,
    needs: needsOf(itemStandings(progress, weak), today, lastDayOf(progress)),
    weak,
    notes: progress.notes,
  });
}

/** What a student plays on, and how: handedness and the voices that are there.
 * @returns issue `not-found` */
export function setKit(me: Teacher, studentId: PersonId, kit: KitProfile): Result<null> {
  const store = openStudent(me, studentId);
  if (!store.ok) return store;
  store.value.setKit(kit);
  return ok(null);
}
