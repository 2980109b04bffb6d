export {
  checkSchedule,
  datesFrom,
  hoursOn,
  isOff,
  moveSession,
  USUAL_SCHEDULE,
  withDay,
} from './schedule';
export { BREAK_AFTER, BREAK_SECONDS, MOST_MINUTES, ORDERS, REST_SECONDS, SURFACES } from './data';
export { scheduleSchema } from './schedule-schema';
export { stretchesOf } from './stretches';

export { blocksOf, minutesOf, planDays } from './plan';
export { copySeen, expectedTriesOf, nothingSeen, paceCounts, pacesOf, seePace } from './pace';
export { forecast } from './forecast';
export { findHelp } from './help';
export { openAhead } from './head-start';
export { findUnfit } from './unfit';
export { planToday } from './today';
export { climbed, wayDone } from './way';
export { workStateOf } from './work';
export { keepingShare, missedDays, needsKit } from './practised';
export type { PlannedTry, EntryKind } from './day-plan';
export type { Forecast, Forecasting } from './forecast';
export type { Help } from './help';
export type { PaceSeen } from './pace';
export type { Block, Plan, PlannedDay, Planning } from './plan';
export type { Surface } from './schedule';
export type { Hours, Schedule } from './schedule-schema';
export type { Unfit } from './unfit';
export type { Climbed } from './way';
export type { PlannedExercise, PlannedState } from './work';
