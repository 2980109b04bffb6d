'use server';

import { stepKindsSchema } from '@/core/path';
import { setSteps } from '@/server';
import { teacherAction } from '../../act';

/** Keeps the order in which the studio builds exercises. */
export const setTemplate = teacherAction([stepKindsSchema], setSteps);
