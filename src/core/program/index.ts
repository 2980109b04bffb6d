export {
  changeItems,
  checkOutline,
  copyOutline,
  EMPTY_OUTLINE,
  itemsOf,
  nudgeItem,
  outlineSchema,
  placeItem,
  withItem,
  withoutItems,
} from './outline';
export { COURSE_TEMPLATES } from './templates';
export type { Outline, OutlineItem, OutlineSection } from './outline';
