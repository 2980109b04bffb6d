export { formatGrid, parseGrid, rotateSlots } from './grid';
export {
  alignLayers,
  commonCycle,
  cutLayer,
  cycleSlots,
  gridOf,
  loopLayer,
  mergeStrokes,
  moveStrokes,
} from './layer';
export { mirrorSticking, parseSticking } from './sticking';
export { DYNAMICS, inTimeOrder, isTail, louderOf, ORNAMENTS } from './stroke';
export type { GridSlot } from './grid';
export type { Layer } from './layer';
export type { Dynamic, Ornament, Provenance, Stroke } from './stroke';
