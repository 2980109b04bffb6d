export { liveContext, newId } from './context';
export { archiveExercise, getExercise, listExercises, saveExercise } from './exercises';
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
export { getRecord, listRoster, listStudents } from './students';
export { addStudent, listDoors, openStudio, viewerOf } from './studios';
export type { Context } from './context';
export type { StudioDoor } from './studios';
