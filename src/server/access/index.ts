export {
  acceptInvitation,
  changePassword,
  endInvitation,
  forgotPassword,
  getAccount,
  invitationOf,
  inviteTeacher,
  passwordLink,
  resetPassword,
  setTeaching,
  signInWith,
  signOut,
  signOutEverywhere,
  signOutOn,
  switchStudio,
} from './account';
export { eraseStudent } from './erasing';
export { claimStudio, maySetUp, openAnother, openFirst, setupCode, setupNow } from './opening';
export { endTablet, getOwned, letTeacherGo, makeTablet } from './owned';
export { sealed, unsealed } from './secret';
export { getShared, openShared, shareProgram } from './sharing';
export { COOKIE_SECONDS, forgetOld, rotated, signInAs, whoIs } from './sign-ins';
export {
  endDevice,
  endLink,
  endReading,
  enterByCode,
  enterByLink,
  enterByPin,
  enterDemo,
  getWaysIn,
  letRead,
  linkPathOf,
  listDemo,
  makeCode,
  newPass,
  openLink,
  readByLink,
  renewPin,
  renewReading,
  tabletNow,
  whoseLink,
} from './ways-in';
export type { LetterWords, OwnAccount } from './account';
export type { Setup } from './opening';
export type { Owned } from './owned';
export type { Shared } from './sharing';
export type { Browser } from './sign-ins';
export type { Entered } from './ways-in';
