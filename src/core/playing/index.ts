export { callBars } from './call';
export { changesAt, partAt } from './change';
export {
  CLICK_MODES,
  CLICK_PARTS,
  CLICK_SOUNDS,
  eventsBetween,
  positionAt,
  readClickBars,
  scoreOf,
} from './score';
export type { ScoreChange } from './change';
export type { Call, ClickMode, ClickSound, Position, Score, SoundEvent } from './score';
