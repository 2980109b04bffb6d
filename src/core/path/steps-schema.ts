import * as z from 'zod/mini';
import { STEP_KINDS } from './data';
import { list } from '../shape';

/** Kinds of steps in the order in which a studio builds. */
export const stepKindsSchema = list(z.enum(STEP_KINDS), 0, 20);
