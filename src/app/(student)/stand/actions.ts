'use server';

import type { Result } from '@/core/issue';
import { remarkInputSchema, type Round } from '@/core/studio';
import { getRound, logRemark } from '@/server';
import { studentVisit } from '../../viewer';

/** What is left to play today; all that is due, once, when nothing is. */
export async function moreToPlay(): Promise<Result<Round>> {
  const { context, viewer } = await studentVisit();
  return getRound(context, viewer);
}

/** What the student writes about a try. */
export async function remarkOn(input: unknown): Promise<Result<unknown>> {
  const { context, viewer } = await studentVisit();
  return logRemark(context, viewer, remarkInputSchema.parse(input));
}
