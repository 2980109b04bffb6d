export { neighboursOf } from './neighbours';
export type { Neighbour } from './neighbours';
