export { neighboursOf } from './neighbours';
export type { Neighbour } from './neighbours';
export { keepOrder, nearestNeighbourWalk, orderPath, pathCost, stepCost } from './order';
export type { Stop } from './order';
export { buildSteps } from './steps';
export { stepKindsSchema } from './steps-schema';
export { STEP_KINDS, USUAL_STEPS } from './data';
export type { BuildStep, StepFacts, StepKind } from './step';
