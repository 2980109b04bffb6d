export {
  accountOfEmail,
  bindAccount,
  emailOf,
  insertAccount,
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
  findViewer,
  listAddresses,
  listDoors,
  openStudioStore,
  studentStore,
  studioStore,
} from './stores';
export type { Content } from './content';
export type { NewEntry } from './log';
export type { StoredMaterial } from './materials';
export type { OwnerStore, Tablet } from './owned';
export type { Pass } from './passes';
export type { Assigned } from './programs';
export type { SignedIn } from './sign-ins';
export type { StudentStore, StudioDoor, StudioStore } from './stores';
