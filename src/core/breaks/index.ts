export {
  bandOf,
  countCrossings,
  crossingsOf,
  CrossingTally,
  riskOf,
  weakCrossings,
  weaknessOf,
} from './break-map';
export type { Band } from './break-map';
export type { Crossing, CrossingCount, PlayedTry, StepPlace } from './break-map';
