import * as z from 'zod/mini';
import { list } from '@/core/shape';
import { appendEntries, MOST_ENTRIES } from '@/server';
import { studentRoute } from '../../act';

const batch = z.object({ entries: list(z.unknown(), 0, MOST_ENTRIES) });

/** Puts entries into the student's log, in their order; answered only once they are in it. */
export const POST = studentRoute(batch, (me, { entries }) =>
  appendEntries(me, me.store.id, entries),
);
