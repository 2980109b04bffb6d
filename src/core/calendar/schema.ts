import * as z from 'zod/mini';

/** A day that the calendar has. */
export const daySchema = z.iso.date();
