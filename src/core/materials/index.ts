export { SHIPPED_KITS, SHIPPED_LINES, SHIPPED_OSTINATOS } from './data';
export { ostinatoLayers } from './ostinato';
export type { ShippedLine } from './data';
export type { Lane, Ostinato } from './ostinato';
