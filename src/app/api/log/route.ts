import * as z from 'zod/mini';
import { fail } from '@/core/issue';
import { list } from '@/core/shape';
import { appendTogether, MOST_ENTRIES } from '@/server';
import { eitherRoute } from '../../act';
import { ids } from '../../shapes';

const batch = z.object({
  entries: list(z.unknown(), 0, MOST_ENTRIES),
  /** Whose log; a student's own when left out. */
  student: z.optional(ids.person),
});

/** Puts entries into a student's log, in their order; answered only once they are in it. */
export const POST = eitherRoute(batch, (me, { entries, student }) => {
  const whose = student ?? (me.role === 'student' ? me.store.id : null);
  if (whose === null) return fail({ code: 'not-yours', path: ['student'], what: 'record' });
  return appendTogether(me, whose, entries);
});
