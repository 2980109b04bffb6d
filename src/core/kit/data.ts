import type { Limb } from './limb';

/** How loud the voices are against each other. Common practice, no source: in jazz the ride is
 * over the snare over a feathered bass drum, in rock the reverse; stamina work is full strokes. */
export const STYLES = ['jazz', 'rock', 'full'] as const;

/** What is known of a voice. */
interface VoiceFacts {
  readonly id: string;
  readonly name: string;
  /** In a lane that is typed. */
  readonly letter: string;
  readonly midi: number;
  readonly line: number;
  readonly head: string;
  /** What is struck; voices of one surface cannot sound at once from two hands. */
  readonly surface: string;
  /** That plays it on a right-handed kit when nothing else is said. */
  readonly limb: Limb;
  /** Level in each style, in decibels; 0 is full, as all are in stamina work. */
  readonly levels: Readonly<Record<Exclude<(typeof STYLES)[number], 'full'>, number>>;
  /** What takes its place on a kit that lacks it, the nearest in sound first. Common practice, no source. Whatever
   * else is missing goes to the pad, then to whatever there is. */
  readonly nearest: readonly string[];
}

/** What can sound on a kit, from the top of the staff down.
 * `midi`: key of the General MIDI Level 1 percussion map, channel 10; where the map has no such
 * sound the nearest is taken (half-open as open, rim shot as electric snare, auxiliary snare and pad as acoustic snare).
 * `staff`: standard percussion notation, five-line staff; `line` counts half spaces up from the
 * bottom line (0 = bottom line, 8 = top line). Common practice, no source. */
export const VOICES = [
  {
    id: 'crash',
    name: 'crash',
    letter: 'Cr',
    midi: 49,
    line: 10,
    head: 'x',
    surface: 'crash',
    limb: 'RH',
    levels: { jazz: 0, rock: 0 },
    nearest: ['ride', 'hat-open', 'hat'],
  },
  {
    id: 'hat-open',
    name: 'open hi-hat',
    letter: 'Ho',
    midi: 46,
    line: 9,
    head: 'open',
    surface: 'hat',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['hat-half', 'hat', 'crash', 'ride'],
  },
  {
    id: 'hat-half',
    name: 'half-open hi-hat',
    letter: 'Hh',
    midi: 46,
    line: 9,
    head: 'half-open',
    surface: 'hat',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['hat-open', 'hat', 'ride'],
  },
  {
    id: 'hat',
    name: 'closed hi-hat',
    letter: 'H',
    midi: 42,
    line: 9,
    head: 'x',
    surface: 'hat',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['aux-hat', 'ride', 'crash'],
  },
  {
    id: 'aux-hat',
    name: 'auxiliary hi-hat',
    letter: 'Ha',
    midi: 42,
    line: 9,
    head: 'diamond',
    surface: 'aux-hat',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['hat', 'ride'],
  },
  {
    id: 'ride',
    name: 'ride',
    letter: 'C',
    midi: 51,
    line: 8,
    head: 'x',
    surface: 'ride',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['hat', 'aux-hat', 'crash', 'cowbell'],
  },
  {
    id: 'ride-bell',
    name: 'ride bell',
    letter: 'B',
    midi: 53,
    line: 8,
    head: 'diamond',
    surface: 'ride',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['ride', 'cowbell', 'hat'],
  },
  {
    id: 'cowbell',
    name: 'cowbell',
    letter: 'Cb',
    midi: 56,
    line: 8,
    head: 'triangle',
    surface: 'cowbell',
    limb: 'RH',
    levels: { jazz: 0, rock: -8 },
    nearest: ['ride-bell', 'ride', 'cross-stick', 'hat'],
  },
  {
    id: 'tom-high',
    name: 'high tom',
    letter: 'T1',
    midi: 50,
    line: 7,
    head: 'oval',
    surface: 'tom-high',
    limb: 'RH',
    levels: { jazz: -6, rock: -3 },
    nearest: ['tom-mid', 'tom-floor', 'snare'],
  },
  {
    id: 'tom-mid',
    name: 'mid tom',
    letter: 'T2',
    midi: 47,
    line: 6,
    head: 'oval',
    surface: 'tom-mid',
    limb: 'RH',
    levels: { jazz: -6, rock: -3 },
    nearest: ['tom-high', 'tom-floor', 'snare'],
  },
  {
    id: 'snare',
    name: 'snare',
    letter: 'S',
    midi: 38,
    line: 5,
    head: 'oval',
    surface: 'snare',
    limb: 'LH',
    levels: { jazz: -6, rock: 0 },
    nearest: ['aux-snare', 'pad', 'tom-high'],
  },
  {
    id: 'cross-stick',
    name: 'cross-stick',
    letter: 'X',
    midi: 37,
    line: 5,
    head: 'x',
    surface: 'snare',
    limb: 'LH',
    levels: { jazz: -6, rock: -3 },
    nearest: ['rim-shot', 'snare'],
  },
  {
    id: 'rim-shot',
    name: 'rim shot',
    letter: 'Rs',
    midi: 40,
    line: 5,
    head: 'slash',
    surface: 'snare',
    limb: 'RH',
    levels: { jazz: -6, rock: 0 },
    nearest: ['snare', 'cross-stick'],
  },
  {
    id: 'aux-snare',
    name: 'auxiliary snare',
    letter: 'Sa',
    midi: 38,
    line: 5,
    head: 'diamond',
    surface: 'aux-snare',
    limb: 'RH',
    levels: { jazz: -6, rock: 0 },
    nearest: ['snare', 'tom-high'],
  },
  {
    id: 'pad',
    name: 'pad',
    letter: 'P',
    midi: 38,
    line: 5,
    head: 'oval',
    surface: 'pad',
    limb: 'RH',
    levels: { jazz: -6, rock: 0 },
    nearest: ['snare'],
  },
  {
    id: 'tom-floor',
    name: 'floor tom',
    letter: 'T3',
    midi: 43,
    line: 3,
    head: 'oval',
    surface: 'tom-floor',
    limb: 'RH',
    levels: { jazz: -6, rock: -3 },
    nearest: ['tom-mid', 'tom-high', 'snare'],
  },
  {
    id: 'bass',
    name: 'bass drum',
    letter: 'K',
    midi: 36,
    line: 1,
    head: 'oval',
    surface: 'bass',
    limb: 'RF',
    levels: { jazz: -14, rock: 0 },
    nearest: [],
  },
  {
    id: 'hat-foot',
    name: 'hi-hat foot',
    letter: 'F',
    midi: 44,
    line: -1,
    head: 'x',
    surface: 'hat',
    limb: 'LF',
    levels: { jazz: -3, rock: -8 },
    nearest: [],
  },
] as const satisfies readonly VoiceFacts[];

/** Shortest and longest limit that can be set, in ms. */
export const LIMIT_RANGE = { least: 20, most: 1000 } as const;
