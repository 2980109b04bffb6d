export { isLongInARow, longestInARow } from './in-a-row';
export { heavyLoads, LOAD_LIMIT } from './load';
export {
  allowedMinutes,
  dayDose,
  NOISE_RANGE,
  noiseDose,
  noiseSchema,
  PROTECTIONS,
  reductionDb,
  overDose,
  USUAL_NOISE,
} from './noise';
export type { InARow, Stint } from './in-a-row';
export type { Load } from './load';
export type { Dose, Noise, Protection } from './noise';
