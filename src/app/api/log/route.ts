import { z } from 'zod';
import { appendEntries, MOST_ENTRIES } from '@/server';
import { studentRoute } from '../../act';

const batch = z.object({ entries: z.array(z.unknown()).max(MOST_ENTRIES) });

/** Puts entries into the student's log, in their order; answered only once they are in it. */
export const POST = studentRoute(batch, (me, { entries }) =>
  appendEntries(me, me.store.id, entries),
);
