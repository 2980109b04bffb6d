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
  withItem,
  withoutItems,
} from './outline';
export { COURSE_TEMPLATES } from './templates';
export type { Outline, OutlineItem, OutlineSection, Starts } from './outline';
