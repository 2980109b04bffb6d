import { fail, type Result } from '@/core/issue';
import type { Viewer } from '@/core/studio';

/** Refuses a viewer who is not a teacher; null lets through. */
export function teacherOnly(viewer: Viewer, what: string): Result<never> | null {
  return viewer.role === 'teacher' ? null : fail({ code: 'not-yours', path: [], what });
}

/** Refuses a viewer who is not a student; null lets through. */
export function studentOnly(viewer: Viewer, what: string): Result<never> | null {
  return viewer.role === 'student' ? null : fail({ code: 'not-yours', path: [], what });
}

/** A name that people gave, trimmed; issue `name-missing` when empty or too long. */
export function readName(text: string, what: string): Result<string> {
  const name = text.trim();
  if (name === '' || name.length > 80) return fail({ code: 'name-missing', path: ['name'], what });
  return { ok: true, value: name };
}
