'use server';

import { getRound } from '@/server';
import { eitherAction } from '../../act';
import { ids } from '../../shapes';

/** What is left to play today; all that is due, once, when nothing is. */
export const moreToPlay = eitherAction([ids.person], getRound);
