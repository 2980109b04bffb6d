export {
  bandOf,
  countCrossings,
  crossingsOf,
  riskOf,
  sayCrossing,
  weakCrossings,
  weaknessOf,
} from './break-map';
export type { Crossing, CrossingCount, PlacedCrossing, PlayedTry, Risk } from './break-map';
