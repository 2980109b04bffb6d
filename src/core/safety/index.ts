export { CAUTION_LINE, CAUTIONS } from './caution';
export { heavyLoads, LOAD_LIMIT, sayLoad } from './load';
export type { Load } from './load';
