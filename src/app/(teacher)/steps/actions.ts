'use server';

import * as z from 'zod/mini';
import { list } from '@/core/shape';
import { STEP_KINDS } from '@/core/path';
import { setSteps } from '@/server';
import { teacherAction } from '../../act';

/** Keeps the order in which the studio builds exercises. */
export const setTemplate = teacherAction([list(z.enum(STEP_KINDS), 0, 20)], setSteps);
