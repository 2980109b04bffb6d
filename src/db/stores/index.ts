export {
  accountOfEmail,
  bindAccount,
  emailOf,
  insertAccount,
  joinStudio,
  listUnclaimed,
  peopleOfAccount,
  setDemo,
} from './accounts';
export { forgetAudit } from './audit';
export { findTablet, forgetMail, keepMail, ownerStore } from './owned';
export { findPass, findPassByHash, usePass } from './passes';
export {
  devicesOfAccount,
  endSignIns,
  findSignIn,
  forgetEndedSignIns,
  insertSignIn,
  prolongSignIn,
  rotateSignIn,
  switchSignIn,
} from './sign-ins';
export {
  findOwner,
  findViewer,
  listAddresses,
  listDoors,
  listStudios,
  namesOfStudents,
  openStudioStore,
  studentStore,
  studioStore,
  waysStore,
} from './stores';
export type { Content } from './content';
export type { NewEntry } from './log';
export type { StoredMaterial } from './materials';
export type { OwnerStore, Tablet } from './owned';
export type { Pass } from './passes';
export type { Assigned } from './programs';
export type { SignedIn } from './sign-ins';
export type { StudentStore, StudioDoor, StudioStore, WaysStore } from './stores';
