export { ShelfProvider, useMaterials, useShelf } from './library';
export { VersionNote } from './version-note';
export type { SavedTwin, Shelf, StudentKit } from './library';
