import { fail, ok, type Result } from '@/core/issue';
import type { PersonId } from '@/core/studio';
import { openStudent, type Teacher } from '../authority';
import { note } from '../audit';

/** Takes a student and all that is known of them out of the studio file, for good: log, plan, what they were given,
 * links, codes, devices.
 * @param name the student's, typed by whoever wants it
 * @returns issues of opening the student, `name-differs` where the name is not theirs */
export function eraseStudent(me: Teacher, id: PersonId, name: string): Result<null> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const { person } = opened.value;
  if (person.name.trim().toLowerCase() !== name.trim().toLowerCase()) {
    return fail({ code: 'name-differs', path: ['name'], name: person.name });
  }
  opened.value.erase();
  note(me, 'erased', me.id);
  return ok(null);
}
