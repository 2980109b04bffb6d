export { backUp, faultOf, restore } from './backup';
export { closeDb, dataFile, openDb, theDb, together } from './connection';
export { backUpAside, isWholeAside } from './file-tasks';
export { hasThreads, startThread } from './threads';
export { nearerTrouble, troubleOf } from './trouble';
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
