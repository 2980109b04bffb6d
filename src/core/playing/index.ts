export { callBars } from './call';
export { changesAt, partAt } from './change';
export { CLICK_MODES, CLICK_PARTS, CLICK_SOUNDS, readClickBars } from './clicks';
export { DELAY_TAPS, delayOfTaps, MOST_DELAY_MS } from './delay';
export { eventsBetween, positionAt, scoreOf } from './score';
export type { ScoreChange } from './change';
export type { Call, ClickMode, ClickSound, Loop } from './clicks';
export type { Position, Score, SoundEvent } from './score';
