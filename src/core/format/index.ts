export { latestOf, MOST_CHARACTERS, programNow, readBundle, writeBundle } from './bundle';
export { writeCalendar } from './calendar';
export { readCsv, writeCsv } from './csv';
export {
  DRAFT_KINDS,
  draftsOf,
  fileChoicesSchema,
  LIKELY_CHOICES,
  likelyChoice,
  PLAYED_GRIDS,
  voiceOfKey,
  voicesOfPart,
} from './score';
export { MOST_FILE_BODY, MOST_FILE_BYTES } from './file-size';
export { piecesOf } from './pieces-of';
export { FORMATS, isMusic, readMusic } from './registry';
export { packFile, unpackFile } from './packed-file';
export type { Bundle, Bundled, BundledProgram, BundledStudent, StudioSettings } from './bundle';
export type { CsvRow } from './csv';
export type { PlayedNote } from './midi';
export type { Choice, Draft, FileChoices, KeyVoices, Left, PlayedGrid } from './score';
export type { FormatId, Music } from './registry';
export type { Piece } from './piece';
