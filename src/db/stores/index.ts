export {
  findFeed,
  findViewer,
  listAddresses,
  listDoors,
  openStudioStore,
  studioStore,
} from './stores';
export type { Content } from './content';
export type { NewEntry } from './log';
export type { StoredMaterial } from './materials';
export type { Assigned } from './programs';
export type { StudentStore, StudioDoor, StudioStore } from './stores';
