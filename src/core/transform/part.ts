import * as z from 'zod/mini';

/** Which layers a change is about: those of the line, those of what keeps going, or all. */
export const partSchema = z.enum(['line', 'over', 'all']);
