export { capitalPixels, readableSize, USUAL_SEAT } from './capitals';
export type { Seat } from './capitals';
