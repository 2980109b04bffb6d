import * as z from 'zod/mini';
import { whole } from '../shape';
import { SUBDIVISION_IDS } from './subdivision';

export const subdivisionSchema = z.enum(SUBDIVISION_IDS);

/** Straight; swung at long : short (8ths as 8ths, 16ths as 16ths), heard in sound and in MIDI only while
 * patterns keep their notated ticks; or swung and written in triplets, so that every "&" lies on the last triplet. */
export const feelSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('straight') }),
  z.strictObject({ kind: z.literal('triplets') }),
  z.strictObject({ kind: z.literal('swung'), long: whole(1, 9), short: whole(1, 9) }),
]);

export type Feel = z.infer<typeof feelSchema>;
