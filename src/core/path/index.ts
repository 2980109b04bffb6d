export { neighboursOf } from './neighbours';
export type { Neighbour } from './neighbours';
export { keepOrder, nearestNeighbourWalk, orderPath, pathCost, stepCost } from './order';
export type { Stop } from './order';
export { buildSteps, STEP_KINDS, stepKindsSchema } from './steps';
export type { BuildStep, StepFacts, StepKind } from './steps';
