'use server';

import { z } from 'zod';
import type { Result } from '@/core/issue';
import { STEP_KINDS } from '@/core/path';
import { setSteps } from '@/server';
import { teacherVisit } from '../../viewer';

/** Keeps the order in which the studio builds exercises. */
export async function setTemplate(template: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return setSteps(context, viewer, z.array(z.enum(STEP_KINDS)).max(20).parse(template));
}
