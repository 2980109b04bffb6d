export {
  acceptInvitation,
  changePassword,
  endInvitation,
  forgotPassword,
  getAccount,
  invitationOf,
  inviteTeacher,
  passwordLink,
  renameMe,
  resetPassword,
  signInWith,
  signOut,
  signOutElsewhere,
  signOutOn,
  switchStudio,
} from './account';
export { claimStudio, maySetUp, openAnother, openFirst, setupCode, setupNow } from './opening';
export { endTablet, getOwned, handStudioOver, letTeacherGo, makeTablet } from './owned';
export { sealed, unsealed } from './secret';
export { getShared, openShared, shareProgram } from './sharing';
export { COOKIE_SECONDS, forgetOld, rotated, signInAs, whoIs } from './sign-ins';
export {
  enterByCode,
  enterByLink,
  enterByPin,
  enterDemo,
  listDemo,
  readByLink,
  tabletNow,
  whoseLink,
} from './entering';
export { linkPathOf, newPass } from './passes';
export {
  endDevice,
  endLink,
  endReading,
  eraseStudent,
  getWaysIn,
  letRead,
  makeCode,
  openLink,
  renewPin,
  renewReading,
  setTeaching,
} from './ways-in';
export type { LetterWords, OwnAccount } from './account';
export type { Setup } from './opening';
export type { Owned } from './owned';
export type { Shared } from './sharing';
export type { Browser } from './sign-ins';
export type { Entered } from './entering';
