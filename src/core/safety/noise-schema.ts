import * as z from 'zod/mini';
import { NOISE_RANGE, PROTECTIONS } from './data';
import { amount } from '../shape';

function inRange([least, most]: readonly [number, number]) {
  return amount(least, most);
}

/** Levels at the player's ear, in dBA, and what protects it. */
export const noiseSchema = z.strictObject({
  kit: inRange(NOISE_RANGE.kit),
  pad: inRange(NOISE_RANGE.pad),
  protection: z.enum(PROTECTIONS),
  label: inRange(NOISE_RANGE.label),
});

export type Noise = z.infer<typeof noiseSchema>;
