'use server';

import { z } from 'zod';
import { STEP_KINDS } from '@/core/path';
import { setSteps } from '@/server';
import { teacherAction } from '../../act';

/** Keeps the order in which the studio builds exercises. */
export const setTemplate = teacherAction([z.array(z.enum(STEP_KINDS)).max(20)], setSteps);
