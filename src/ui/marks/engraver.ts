/** All that a staff is laid out and drawn with; it loads where one is wanted. */
export { countRow, leadOf, needsOf, shapeBar, spaceBar, trailOf } from '@/core/notation';
export { Legend } from './legend';
export { Staff, staffHeight } from './staff';
