export { findViewer, listDoors, openStudioStore, studioStore } from './stores';
export type { Content } from './content';
export type { NewEntry, Placed } from './log';
export type { StoredMaterial } from './materials';
export type { Studio } from './people';
export type { Assigned } from './programs';
export type { StudentStore, StudioDoor, StudioStore } from './stores';
