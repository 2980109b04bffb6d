export {
  changeItems,
  checkOutline,
  copyOutline,
  EMPTY_OUTLINE,
  itemsOf,
  nudgeItem,
  outlineSchema,
  startsSchema,
  placeItem,
  renameItems,
  withItem,
  withoutItems,
} from './outline';
export { STARTER_IDS, STARTERS } from './starters';
export { COURSE_TEMPLATES } from './templates';
export type { StarterId, StarterItem, StarterItemId } from './starters';
export type { Outline, OutlineItem, OutlineSection, Starts } from './outline';
