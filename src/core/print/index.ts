export { flow, MARGIN, roomAcross } from './flow';
export { lookSchema } from './look-schema';
export { lineBlocks, staffBlocks } from './notation';
export { PAPERS } from './page';
export { USUAL_LOOK } from './usual-look';
export type { Block } from './flow';
export type { SheetOf } from './sheet-of';
export type { Look } from './look-schema';
export type { FaceId, Mark, Page } from './page';
