import type { Assignment, Limb } from '../kit';
import type { Stroke } from '../pattern';
import type { ReadingLine } from '../reading';
import type { Result } from '../issue';

export type Reading = 'sticking' | 'voices';

/** A rule that turns a reading line into strokes.
 * `claims` names the limbs it takes, the one that matters most first, whatever the line; a limb policy settles what happens where
 * the ostinato uses them too. `play` gives strokes from 0 up to the line's length. */
export interface Interpretation<Options> {
  readonly kind: string;
  /** How its strokes are read back: as limbs in words (`RLLK RL`) or as voices (`K K S K`). */
  readonly reads: Reading;
  readonly claims: (options: Options) => readonly Limb[];
  /** The same with other limbs on other voices; left out where its limbs are what it is about. */
  readonly reassign?: (options: Options, to: (part: Assignment) => Assignment) => Options;
  readonly play: (line: ReadingLine, options: Options) => Result<readonly Stroke[]>;
}
