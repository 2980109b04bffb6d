export { latestOf } from './bundle';
export { MOST_CHARACTERS, readBundle } from './read-bundle';
export { programNow, writeBundle } from './write-bundle';
export type { Bundle, BundledProgram, StudioSettings } from './bundle';
export type { BundledStudent } from './read-students';
export type { Bundled } from './write-bundle';
