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
export { archiveMaterial, listMaterials, saveMaterial } from './materials';
export { addNote, archiveNote, decide, listNotes, logPaper, takeDecisionBack } from './lessons';
export { getDay, getPlan, getRound, setSchedule } from './plans';
export { getToday, logBroke, logRemark, logSuffered, logTry, practiceDay } from './practice';
export {
  addItem,
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
export { getRecord, listRoster, listStudents, setKit } from './students';
export {
  addStudent,
  getSpeech,
  getSteps,
  listDoors,
  openStudio,
  setSpeech,
  setSteps,
  viewerOf,
} from './studios';
export { listVersions } from './versions';
export type { Context } from './context';
export type { ItemOf, PaperCell } from './lessons';
export type { StudioDoor } from './studios';
export type { Now } from './plans';
