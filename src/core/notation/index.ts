export { countRow } from './count-row';
export { GLYPHS } from './glyphs';
export { legendSign, voicesPlayed } from './legend';
export { layOutLine } from './lay-out-line';
export { layOutStaff } from './lay-out-staff';
export { notate } from './notate';
export {
  bowPath,
  bracketPath,
  bracketText,
  lineBracketPath,
  LINE_TUPLET_Y,
  tiePath,
} from './paths';
export { placeBar } from './place-bar';
export { repeatsOf } from './repeats';
export { shapeBar } from './shape-bar';
export { CLEF_ROOM, extentOf, headOf, rowTexts } from './staff-rows';
export { leadOf, needsOf, spaceBar, trailOf } from './space-bar';
export type { CountWord } from './count-row';
export type { BarLayout } from './lay-out-line';
export type { WrittenSign } from './notate';
export type { StaffBar, StaffBracket } from './place-bar';
export type { StaffLayout } from './lay-out-staff';
export type { RowText, StaffExtent, StaffRows } from './staff-rows';
export type { Box, GlyphId } from './glyphs';
