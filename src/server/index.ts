export { liveContext, newId } from './context';
export {
  archiveExercise,
  findTwins,
  getExercise,
  listExerciseNames,
  listExercises,
  saveExercise,
} from './exercises';
export {
  archiveFamily,
  getFamily,
  listFamilies,
  listPractised,
  saveFamily,
  sendToProgram,
} from './families';
export { archiveImported, importBundle, lookIntoBundle } from './bundles';
export { exportStudent, exportStudio } from './bundles-out';
export { backUpNow, backUpWhenDue, getBackups, lookThrough, storageIssue } from './backups';
export { originsForOthers } from './hosts';
export { healthNow, isReady, nowWarm } from './health';
export { importFile, lookIntoFile } from './imports';
export { readApart } from './read-apart';
export { archiveStudent, exportRoster } from './rosters';
export { exportCalendar, exportProgram, openFeed, readFeed } from './exports';
export { exportLog, takeBackTries } from './log-tables';
export { copyStarter } from './starters';
export { archiveMaterial, listMaterials, saveMaterial } from './materials';
export {
  acceptInvitation,
  changePassword,
  claimStudio,
  COOKIE_SECONDS,
  endDevice,
  endInvitation,
  endLink,
  endReading,
  endTablet,
  enterByCode,
  enterByLink,
  enterByPin,
  enterDemo,
  eraseStudent,
  forgetOld,
  forgotPassword,
  getAccount,
  getOwned,
  getShared,
  getWaysIn,
  invitationOf,
  inviteTeacher,
  letRead,
  handStudioOver,
  letTeacherGo,
  listDemo,
  makeCode,
  makeTablet,
  maySetUp,
  openAnother,
  openFirst,
  openLink,
  openShared,
  readByLink,
  renewPin,
  renewReading,
  passwordLink,
  renameMe,
  resetPassword,
  rotated,
  setTeaching,
  setupCode,
  setupNow,
  shareProgram,
  signInAs,
  signInWith,
  signOut,
  signOutElsewhere,
  signOutOn,
  switchStudio,
  tabletNow,
  whoIs,
  whoseLink,
} from './access';
export { asEither, asOwner, asStudent, asTeacher } from './authority';
export { appendEntries, appendEntry, listTries, MOST_ENTRIES } from './log';
export { appendTogether } from './log-together';
export { logPaper } from './paper';
export { getDay, getPlan, getRound, setSchedule } from './plans';
export { practiceDay } from './standing';
export {
  addItem,
  addToProgram,
  archiveProgram,
  createProgram,
  followVersion,
  getProgram,
  giveProgram,
  listPrograms,
  renameProgram,
  saveOutline,
  setStart,
  setTemplate,
  takeBack,
} from './programs';
export { listRoster, listStudents, warmRosters } from './roster';
export { getRecord, getToday, listNotes, setKit } from './students';
export {
  addStudent,
  getAddress,
  knowAddresses,
  getSpeech,
  setAddress,
  getSteps,
  listDoors,
  openStudio,
  setSpeech,
  setSteps,
  viewerOf,
} from './studios';
export { makeSheets, planExercises, planSheets } from './sheets';
export type { SheetLine } from './sheets';
export { listVersions } from './versions';
export type { Context } from './context';
export type { SignedIn } from '@/db';
export type { Owner, Student, Teacher } from './authority';
export type { Browser, Entered, LetterWords, OwnAccount, Owned, Setup, Shared } from './access';
export type { PaperCell } from './paper';
export type { SentExercise } from './families';
export type { Now } from './plans';
