export { backUp, faultOf, restore } from './backup';
export { closeDb, dataFile, openDb, theDb, together } from './connection';
export { backUpAside, isWholeAside } from './file-tasks';
export { sha256 } from './sha256';
export { hasThreads, startThread } from './threads';
export { nearerTrouble, troubleOf } from './trouble';
export { authDatabase } from './auth-database';
export {
  accountOfEmail,
  bindAccount,
  devicesOfAccount,
  emailOf,
  endSignIns,
  findPass,
  findPassByHash,
  findSignIn,
  findTablet,
  findOwner,
  findViewer,
  forgetAudit,
  forgetEndedSignIns,
  forgetMail,
  insertAccount,
  insertSignIn,
  joinStudio,
  keepMail,
  listAddresses,
  listDoors,
  listStudios,
  listUnclaimed,
  namesOfStudents,
  openStudioStore,
  ownerStore,
  peopleOfAccount,
  prolongSignIn,
  rotateSignIn,
  setDemo,
  studentStore,
  studioStore,
  switchSignIn,
  usePass,
  waysStore,
} from './stores';
export type { Db } from './connection';
export type {
  Assigned,
  Content,
  NewEntry,
  OwnerStore,
  Pass,
  SignedIn,
  Tablet,
  StudentStore,
  StudioDoor,
  StudioStore,
  WaysStore,
  StoredMaterial,
} from './stores';
