export { PdfWriter } from './pdf';
export { sheetPages } from './sheet';
export type { SheetItem } from './item';
export type { Sheet } from './sheet';
export type { SheetWeek } from './week';
