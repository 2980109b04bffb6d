export { eventsBetween, positionAt, scoreOf } from './score';
export type { Position, Score, SoundEvent } from './score';
