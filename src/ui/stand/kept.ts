import { LIMBS, type Limb } from '@/core/kit';
import {
  CLICK_MODES,
  CLICK_PARTS,
  CLICK_SOUNDS,
  readClickBars,
  type ClickMode,
  type ClickSound,
  type Score,
} from '@/core/playing';
import { USUAL_SEAT, type Seat } from '@/core/sight';
import type { Day, PersonId, SessionId } from '@/core/studio';
import { SHOWS, type Shows } from '../marks';
import type { RoundState } from './round';

/** How the pattern is written. */
export type Written = Pick<SetUp, 'shows' | 'count' | 'sticking'>;

/** What the click is like. */
export interface Click {
  readonly click: ClickMode;
  readonly sound: ClickSound;
  /** To the shortest felt beat. */
  readonly parts: Score['parts'];
  readonly accents: boolean;
  /** As `readClickBars` has it. */
  readonly bars: string;
}

/** How a device stands at the kit; kept in its browser. */
export interface SetUp extends Seat, Click {
  /** Clicks of their own, by exercise, or by exercise and rung. */
  readonly own: Readonly<Record<string, Click>>;
  /** A bar is tapped before it starts, in place of a count-in. */
  readonly tapIn: boolean;
  /** Limbs that are heard besides the click. */
  readonly hear: readonly Limb[];
  /** Plays one try after the other, and asks at the break. */
  readonly handsFree: boolean;
  /** How the pattern is written. */
  readonly shows: Shows;
  /** Counted over the notation; where lanes are over it they have the count. */
  readonly count: boolean;
  /** Hands under the notation. */
  readonly sticking: boolean;
  /** Stays on an exercise until its rung is over. */
  readonly stays: boolean;
}

export const USUAL_SET_UP: SetUp = {
  ...USUAL_SEAT,
  click: 'beats',
  sound: 'beep',
  parts: 1,
  accents: true,
  bars: '',
  own: {},
  tapIn: false,
  hear: [],
  handsFree: false,
  shows: 'lanes',
  count: true,
  sticking: false,
  stays: false,
};

const SET_UP = 'mivvel stand';

/** The set-up of this device; what it cannot know any more is as usual. */
export function readSetUp(): SetUp {
  const kept = read<Partial<SetUp>>(SET_UP) ?? {};
  const { own, hear, inches, metres, handsFree, shows, count, sticking, stays, tapIn } = kept;
  const mine = typeof own === 'object' && own !== null ? Object.entries(own) : [];
  return {
    ...readClick(kept),
    own: Object.fromEntries(mine.slice(-MOST_OWN).map(([key, one]) => [key, readClick(one)])),
    tapIn: tapIn === true,
    hear: LIMBS.filter((limb) => hear?.includes(limb)),
    handsFree: handsFree === true,
    shows: SHOWS.find((one) => one === shows) ?? USUAL_SET_UP.shows,
    count: count !== false,
    sticking: sticking === true,
    stays: stays === true,
    inches: inRange(inches, SEAT_RANGE.inches) ?? USUAL_SET_UP.inches,
    metres: inRange(metres, SEAT_RANGE.metres) ?? USUAL_SET_UP.metres,
  };
}

/** Most clicks of their own that a browser keeps. */
const MOST_OWN = 200;

function readClick({ click, sound, parts, accents, bars }: Partial<Click>): Click {
  // As the click's bars were kept before they could be typed.
  const droppedOut = (click as string) === 'drops out';
  return {
    click: click && CLICK_MODES.includes(click) ? click : USUAL_SET_UP.click,
    sound: sound && CLICK_SOUNDS.includes(sound) ? sound : USUAL_SET_UP.sound,
    parts: CLICK_PARTS.find((one) => one === parts) ?? USUAL_SET_UP.parts,
    accents: accents !== false,
    bars: droppedOut ? 'xx--' : (readClickBars(String(bars ?? '')) ?? ''),
  };
}

/** For which the click is: all that is played on this device, an exercise, or a rung of it. */
export const CLICK_SCOPES = ['all', 'exercise', 'rung'] as const;
export type ClickScope = (typeof CLICK_SCOPES)[number];

/** Names an exercise, or a rung of it, among the clicks that are kept. */
function ownKey(scope: ClickScope, item: string, rung: string): string {
  return scope === 'rung' ? `${item} ${rung}` : item;
}

/** The click for a rung of an exercise: its own, the exercise's, or this device's. */
export function clickFor(
  { own, ...device }: SetUp,
  item: string,
  rung: string,
): { readonly scope: ClickScope; readonly click: Click } {
  for (const scope of ['rung', 'exercise'] as const) {
    const found = own[ownKey(scope, item, rung)];
    if (found) return { scope, click: found };
  }
  return { scope: 'all', click: readClick(device) };
}

/** The set-up with a click for a scope; what was kept for a narrower one goes. */
export function withClick(
  setUp: SetUp,
  { scope, item, rung }: { scope: ClickScope; item: string; rung: string },
  click: Click,
): Pick<SetUp, 'own'> & Partial<Click> {
  const { [ownKey('rung', item, rung)]: _, ...others } = setUp.own;
  if (scope === 'rung') return { own: { ...others, [ownKey('rung', item, rung)]: click } };
  const { [item]: __, ...rest } = others;
  return scope === 'exercise' ? { own: { ...rest, [item]: click } } : { own: rest, ...click };
}

/** Screens from a small phone to a television, distances from the lap to across the room. */
export const SEAT_RANGE = { inches: [4, 60], metres: [0.3, 5] } as const;

export function inRange(
  value: number | undefined,
  [least, most]: readonly [number, number],
): number | null {
  return value !== undefined && value >= least && value <= most ? value : null;
}

export function keepSetUp(setUp: SetUp): void {
  keep(SET_UP, setUp);
}

/** A round that was begun, so that a page that is closed in the middle of it goes on where it was. */
export interface KeptRound extends RoundState {
  readonly day: Day;
  readonly session: SessionId | null;
}

const roundKey = (person: PersonId) => `mivvel round ${person}`;

/** The round that was begun today; one of another day is over. */
export function readRound(person: PersonId, day: Day): KeptRound | null {
  const kept = read<KeptRound>(roundKey(person));
  return kept?.day === day && Array.isArray(kept.slots) ? kept : null;
}

export function keepRound(person: PersonId, round: KeptRound): void {
  keep(roundKey(person), round);
}

export function endRound(person: PersonId): void {
  try {
    localStorage.removeItem(roundKey(person));
  } catch {
    // Nothing was kept.
  }
}

function keep(key: string, value: object): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // A browser without storage forgets it with the page.
  }
}

function read<T>(key: string): T | null {
  try {
    const text = localStorage.getItem(key);
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
}
