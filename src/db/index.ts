export { backUp, restore } from './backup';
export { closeDb, openDb, theDb, together } from './connection';
export {
  findFeed,
  findViewer,
  listAddresses,
  listDoors,
  openStudioStore,
  studioStore,
} from './stores';
export type { Db } from './connection';
export type {
  Assigned,
  Content,
  NewEntry,
  StudentStore,
  StudioDoor,
  StudioStore,
  StoredMaterial,
} from './stores';
