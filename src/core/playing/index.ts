export { callBars } from './call';
export { changesAt, partAt } from './change';
export { CLICK_MODES, CLICK_PARTS, CLICK_SOUNDS, readClickBars } from './clicks';
export { eventsBetween, positionAt, scoreOf } from './score';
export type { ScoreChange } from './change';
export type { Call, ClickMode, ClickSound, Loop } from './clicks';
export type { Position, Score, SoundEvent } from './score';
