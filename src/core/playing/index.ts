export { callBars, sayCall } from './call';
export { partAt, sayChangeAt } from './change';
export { CLICK_MODES, CLICK_SOUNDS, eventsBetween, positionAt, scoreOf } from './score';
export type { Call, ClickMode, ClickSound, Position, Score, SoundEvent } from './score';
