export { formatGrid, parseGrid, rotateSlots } from './grid';
export {
  alignLayers,
  commonCycle,
  cutLayer,
  cycleSlots,
  loopLayer,
  mergeStrokes,
  moveStrokes,
  periodOf,
  shiftLayer,
  unloopLayer,
} from './layer';
export { layOver } from './one-surface';
export { mirrorSticking, parseSticking } from './sticking';
export { figureOf, GRACE_APART_MS, gracesOf } from './figure';
export {
  asTail,
  DYNAMICS,
  fillsFromBefore,
  inTimeOrder,
  louderOf,
  makeStroke,
  strokeAt,
  ORNAMENTS,
} from './stroke';
export { dynamicSchema, ornamentSchema } from './schema';
export type { GridSlot } from './grid';
export type { AddedBy, Layer, WordSlot } from './layer';
export type { Dynamic, Ornament, Provenance, Stroke } from './stroke';
