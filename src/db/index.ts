export { closeDb, dataFolder, openDb, theDb, together } from './connection';
export { findViewer, listDoors, openStudioStore, studioStore } from './stores';
export type { Db } from './connection';
export type {
  Assigned,
  Content,
  NewEntry,
  Studio,
  Placed,
  StudentStore,
  StudioDoor,
  StudioStore,
  StoredMaterial,
} from './stores';
