import type { VoiceId, Limb } from '../../kit';
import type { Dynamic, Ornament } from '../../pattern';
import type { Meter, Tick } from '../../time';

/** What a file of music holds, as far as a drummer needs it: when something is struck, what, and how it is written. */
export interface Score {
  readonly title: string;
  readonly parts: readonly ScorePart[];
}

export interface ScorePart {
  readonly name: string;
  /** Whether its notes are drums; of any other instrument the rhythm alone is taken. */
  readonly isKit: boolean;
  /** In the order written, signs for repeats not followed. */
  readonly bars: readonly ScoreBar[];
  readonly left: readonly Left[];
}

export interface ScoreBar {
  /** As the file counts it. */
  readonly number: string;
  readonly meter: Meter;
  /** Something begins here: after a repeat or a double bar, at a rehearsal mark. */
  readonly begins: boolean;
  /** What stands over it, where something begins. */
  readonly says: string;
  readonly repeats: RepeatSigns;
  readonly strokes: readonly ScoreStroke[];
  /** As it is written, a voice each; empty where a file has no written values. */
  readonly voices: ReadonlyMap<string, readonly ScoreSign[]>;
}

export interface RepeatSigns {
  readonly from: boolean;
  /** How often it is played all in all, where a repeat ends here. */
  readonly times: number | null;
  /** The passes in which this bar is played, where it stands under an ending. */
  readonly passes: readonly number[] | null;
}

export const NO_REPEATS: RepeatSigns = { from: false, times: null, passes: null };

/** One voice that is struck. `at` counts from the start of its bar. */
export interface ScoreStroke {
  readonly at: Tick;
  /** Null for an instrument that is no drum of ours. */
  readonly voice: VoiceId | null;
  /** Where the file says it. */
  readonly limb: Limb | null;
  readonly dynamic: Dynamic;
  readonly ornament: Ornament | null;
}

/** A note or a rest as it is written. */
export interface ScoreSign {
  readonly at: Tick;
  readonly ticks: Tick;
  /** Part of a whole note: 4 is a quarter; null where its value has no sign of ours. */
  readonly base: number | null;
  readonly dots: number;
  readonly tuplet: { readonly played: number; readonly inTimeOf: number } | null;
  readonly isRest: boolean;
  readonly tied: boolean;
}

/** Why something does not come in as it stands in the file. */
type Why =
  /** Null where it has none: it stands where none of our voices is written. */
  | { readonly why: 'key'; readonly key: number | null }
  | { readonly why: 'nearest'; readonly key: number; readonly voice: VoiceId }
  | {
      readonly why:
        | 'pitch'
        | 'grace'
        | 'jump'
        | 'slash'
        | 'short'
        | 'long'
        | 'over'
        | 'tempo'
        | 'graces'
        | 'controls'
        | 'texts'
        | 'loudness'
        | 'tie'
        | 'limb'
        | 'met'
        | 'value'
        | 'grid'
        | 'bars'
        | 'meter'
        | 'empty';
    };

/** What does not come in as it stands in the file, and why; `bars` as the file counts them. */
export type Left = Why & { readonly bars: readonly string[]; readonly count: number };

/** Gathers what is left out: the same reason once, with its bars. */
export class LeftOut {
  private readonly found = new Map<string, { why: Why; bars: Set<string>; count: number }>();

  add(why: Why, bar: string | null = null, count = 1): void {
    const key = JSON.stringify(why);
    const known = this.found.get(key) ?? { why, bars: new Set<string>(), count: 0 };
    known.count += count;
    if (bar !== null) known.bars.add(bar);
    this.found.set(key, known);
  }

  all(): readonly Left[] {
    return [...this.found.values()].map(({ why, bars, count }) => ({
      ...why,
      bars: [...bars],
      count,
    }));
  }
}
