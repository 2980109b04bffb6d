import * as z from 'zod/mini';
import { MOST_MINUTES, ORDERS, SURFACES } from './data';
import { daySchema, WEEKDAYS } from '../calendar';
import { noiseSchema } from '../safety';
import { whole, list } from '../shape';

const clock = z.string().check(z.regex(/^([01]\d|2[0-3]):[0-5]\d$/));

/** When, how long and on what a day is practised. `at`: when it usually begins. `quiet`: from when to
 * when nothing loud may be played; it may run over midnight. Times of day as `18:30`. */
const hours = z.strictObject({
  minutes: whole(0, MOST_MINUTES),
  on: z.enum(SURFACES),
  at: clock,
  quiet: z.nullable(z.strictObject({ from: clock, to: clock })),
});

export type Hours = z.infer<typeof hours>;

/** When a student practises. `days` are single days that differ from the week, `off` dates without
 * practice, both ends included; a single day goes first. */
export const scheduleSchema = z.strictObject({
  week: z.record(z.enum(WEEKDAYS), hours),
  days: z.record(daySchema, hours),
  off: list(z.strictObject({ from: daySchema, to: daySchema }), 0, 60),
  target: z.nullable(daySchema),
  order: z.enum(ORDERS),
  noise: noiseSchema,
  /** The date from which it holds: nothing was missed before; null until it is kept. */
  since: z.nullable(daySchema),
});

export type Schedule = z.infer<typeof scheduleSchema>;
