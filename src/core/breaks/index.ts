export {
  bandOf,
  countCrossings,
  crossingsOf,
  CrossingTally,
  riskOf,
  sayCrossing,
  weakCrossings,
  weaknessOf,
} from './break-map';
export type { Crossing, CrossingCount, PlacedCrossing, PlayedTry, Risk } from './break-map';
