export { eventsBetween, positionAt, scoreOf } from './score';
export type { ClickMode, Position, Score, SoundEvent } from './score';
