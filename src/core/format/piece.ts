import type { Exercise } from '../recipe';
import type { Bpm } from '../time';

/** An exercise that is written into a file. */
export interface Piece {
  readonly name: string;
  /** The sentence, in words; empty leaves it out. */
  readonly says: string;
  readonly exercise: Exercise;
  readonly bpm: Bpm;
}
