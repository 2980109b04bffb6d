export { SHIPPED_KITS, SHIPPED_LINES, SHIPPED_OSTINATOS } from './data';
export { ostinatoLayers } from './ostinato';
export { looksTyped, readOstinato } from './typed';
export type { ShippedLine } from './data';
export type { Lane, Ostinato } from './ostinato';
export type { TypedOstinato } from './typed';
