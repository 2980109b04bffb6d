import { LIMBS, type Limb } from '@/core/kit';
import { CLICK_MODES, CLICK_SOUNDS, type ClickMode, type ClickSound } from '@/core/playing';
import { USUAL_SEAT, type Seat } from '@/core/sight';
import type { Day, PersonId, SessionId } from '@/core/studio';
import type { RoundState } from './round';

/** How a device stands at the kit; kept in its browser. */
export interface SetUp extends Seat {
  readonly click: ClickMode;
  readonly sound: ClickSound;
  /** Limbs that are heard besides the click. */
  readonly hear: readonly Limb[];
  /** Plays one try after the other, and asks at the break. */
  readonly handsFree: boolean;
}

export const USUAL_SET_UP: SetUp = {
  ...USUAL_SEAT,
  click: 'beats',
  sound: 'beep',
  hear: [],
  handsFree: false,
};

const SET_UP = 'mivvel stand';

/** The set-up of this device; what it cannot know any more is as usual. */
export function readSetUp(): SetUp {
  const kept = read<Partial<SetUp>>(SET_UP) ?? {};
  const { click, sound, hear, inches, metres, handsFree } = kept;
  return {
    click: click && CLICK_MODES.includes(click) ? click : USUAL_SET_UP.click,
    sound: sound && CLICK_SOUNDS.includes(sound) ? sound : USUAL_SET_UP.sound,
    hear: LIMBS.filter((limb) => hear?.includes(limb)),
    handsFree: handsFree === true,
    inches: inRange(inches, SEAT_RANGE.inches) ?? USUAL_SET_UP.inches,
    metres: inRange(metres, SEAT_RANGE.metres) ?? USUAL_SET_UP.metres,
  };
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
