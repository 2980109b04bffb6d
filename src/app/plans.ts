'use server';

import { scheduleSchema } from '@/core/plan';
import { setSchedule } from '@/server';
import { eitherAction } from './act';
import { ids } from './shapes';

/** Sets when a student practises; for the teacher and for the student. */
export const setPlanOf = eitherAction([ids.person, scheduleSchema], setSchedule, { changes: true });
