export { isLongInARow, longestInARow } from './in-a-row';
export { heavyLoads, LOAD_LIMIT } from './load';
export { allowedMinutes, dayDose, noiseDose, reductionDb, overDose, USUAL_NOISE } from './noise';
export { noiseSchema } from './noise-schema';
export { NOISE_RANGE, PROTECTIONS } from './data';
export type { InARow, Stint } from './in-a-row';
export type { Load } from './load';
export type { Dose, Protection } from './noise';
export type { Noise } from './noise-schema';
