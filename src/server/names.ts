import { fail, type Result, type Thing } from '@/core/issue';

/** A name that people gave, trimmed; issue `name-missing` when empty or too long. */
export function readName(text: string, what: Thing): Result<string> {
  const name = text.trim();
  if (name === '' || name.length > 80) return fail({ code: 'name-missing', path: ['name'], what });
  return { ok: true, value: name };
}
