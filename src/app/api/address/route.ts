import * as z from 'zod/mini';
import { text } from '@/core/shape';
import { setAddress } from '@/server';
import { teacherRoute } from '../../act';

/** Where the studio is reached, for codes on paper; empty takes it away. A route, for sheets are opened from many
 * pages. */
export const POST = teacherRoute(z.object({ address: text(300) }), (me, { address }) =>
  setAddress(me, address),
);
