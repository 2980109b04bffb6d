'use server';

import { getRound } from '@/server';
import { studentAction } from '../../act';

/** What is left to play today; all that is due, once, when nothing is. */
export const moreToPlay = studentAction([], (me) => getRound(me));
