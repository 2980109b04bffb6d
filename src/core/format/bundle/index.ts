export { readBundle } from './read-bundle';
export { writeBundle } from './write-bundle';
export type { Bundle } from './read-bundle';
export type { Bundled } from './write-bundle';
