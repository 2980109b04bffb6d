export { CAUTION_LINE, CAUTIONS } from './caution';
export { LONG_IN_A_ROW, longestInARow, sayInARow } from './in-a-row';
export { heavyLoads, LOAD_LIMIT, sayLoad } from './load';
export {
  allowedMinutes,
  dayDose,
  NOISE_RANGE,
  noiseDose,
  noiseSchema,
  PROTECTIONS,
  reductionDb,
  sayDose,
  USUAL_NOISE,
} from './noise';
export type { InARow, Stint } from './in-a-row';
export type { Load } from './load';
export type { Noise, Protection } from './noise';
