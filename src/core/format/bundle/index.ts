export { latestOf, MOST_CHARACTERS, readBundle } from './read-bundle';
export { programNow, writeBundle } from './write-bundle';
export type { Bundle, BundledProgram, StudioSettings } from './read-bundle';
export type { BundledStudent } from './read-students';
export type { Bundled } from './write-bundle';
