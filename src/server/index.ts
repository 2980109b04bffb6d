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
export { getToday, logSuffered, logTry, practiceDay } from './practice';
export {
  addItem,
  archiveProgram,
  createProgram,
  getProgram,
  giveProgram,
  listPrograms,
  moveItem,
  removeItem,
  renameProgram,
  setCourse,
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
export type { Context } from './context';
export type { StudioDoor } from './studios';
