import * as z from 'zod/mini';
import { MOST_RUNGS } from './data';
import { whole, amount, list } from '../shape';
import { FASTEST, SLOWEST } from '../time';
import { stageSchema } from './stage-schema';

const tempo = amount(SLOWEST, FASTEST);

const minutes = amount(0.5, 120);

/** How a ladder climbs. A `step` carries its sign: it leads from start to target, and the last one
 * shortens to hit it. Tempi in bpm.
 * `fixed`: equal steps. `percent`: each tempo so many percent on, rounded from the exact power.
 * `two-up`: two steps up, one down. `alternate`: slow and fast in turn, the fast one climbing.
 * `hold`: one tempo for longer and longer, in minutes. `list`: tempi made by hand.
 * `ramp`: one try climbs from start to target, a step every so many bars.
 * `stages`: rungs that are not tempi, all at one tempo. */
export const ladderSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('fixed'), start: tempo, target: tempo, step: z.number() }),
  z.strictObject({ kind: z.literal('percent'), start: tempo, target: tempo, percent: z.number() }),
  z.strictObject({ kind: z.literal('two-up'), start: tempo, target: tempo, step: z.number() }),
  z.strictObject({
    kind: z.literal('alternate'),
    slow: tempo,
    start: tempo,
    target: tempo,
    step: z.number(),
  }),
  z.strictObject({ kind: z.literal('hold'), bpm: tempo, from: minutes, to: minutes, by: minutes }),
  z.strictObject({ kind: z.literal('list'), tempi: list(tempo, 1, MOST_RUNGS) }),
  z.strictObject({
    kind: z.literal('ramp'),
    start: tempo,
    target: tempo,
    step: z.number(),
    every: whole(1, 64),
  }),
  z.strictObject({
    kind: z.literal('stages'),
    bpm: tempo,
    stages: list(stageSchema, 1, MOST_RUNGS),
  }),
]);

export type Ladder = z.infer<typeof ladderSchema>;
