import { fail, ok, type Issue, type Path, type Result } from '../issue';
import type { Limb } from '../kit';
import type { Ornament } from '../pattern';
import { slotTicks, type SubdivisionId } from '../time';
import { gridOf, spellRepeats } from './words';

/** One slot of a sticking: who plays, and how long it lasts. */
export interface StickingSlot {
  /** As written: R L K F, T both hands, r l the feet of a double pedal, - nobody. */
  readonly letter: string;
  /** Written before the letter: `f` flam, `d` drag, `u` three-note ruff, `U` four-stroke ruff, `i` diddle, `o` roll, `z` buzz. */
  readonly ornament: Ornament | null;
  /** Written as `>` before the letter. */
  readonly accent: boolean;
  readonly ticks: number;
  /** Word that the slot belongs to, from 0, and its place in it. */
  readonly cell: number;
  readonly index: number;
}

/** A sticking as words, a word for each cell. */
export interface StickingPhrase {
  readonly cells: readonly string[];
  readonly slots: readonly StickingSlot[];
  readonly lengthTicks: number;
}

const ORNAMENTS: Readonly<Record<string, Ornament>> = {
  f: 'flam',
  d: 'drag',
  u: 'ruff',
  U: 'ruff4',
  i: 'diddle',
  o: 'roll',
  z: 'buzz',
};

/** A slot: marks, then a letter; anything else is a slot that cannot be read. */
export const SLOT = /([>fduUioz]*)([RLKFTrl-])|(.)/g;

/** Reads `RLL RLL RLRR`: words of letters, a slot each, with marks for ornaments and accents before
 * them: `>fR`. A subdivision and a colon change the slots
 * from there on: `RLRL 8t: RLL RLL`. `x4` repeats; bar lines part what is read and change nothing.
 * @returns issues `sticking-token` for each letter that is none, `at` counting slots from 0
 * @example parsePhrase('RLLK RL', '16').value.cells // => ['RLLK', 'RL'] */
export function parsePhrase(
  text: string,
  slot: SubdivisionId,
  path: Path = ['play'],
): Result<StickingPhrase> {
  const issues: Issue[] = [];
  const cells: string[] = [];
  const slots: StickingSlot[] = [];
  let ticks: number = slotTicks(slot);
  for (const word of spellRepeats(text)) {
    const switched = gridOf(word);
    if (switched) {
      ticks = slotTicks(switched);
      continue;
    }
    if (word === '|') continue;
    [...word.matchAll(SLOT)].forEach(([token, marks = '', letter = '-', wrong], index) => {
      if (wrong !== undefined) {
        issues.push({ code: 'sticking-token', path, token, at: slots.length });
      }
      const ornament = [...marks].map((mark) => ORNAMENTS[mark]).find((one) => one) ?? null;
      const accent = marks.includes('>');
      slots.push({ letter, ornament, accent, ticks, cell: cells.length, index });
    });
    cells.push(word);
  }
  if (slots.length === 0) issues.push({ code: 'sticking-token', path, token: '', at: 0 });
  if (issues.length > 0) return fail(...issues);
  return ok({ cells, slots, lengthTicks: slots.reduce((sum, one) => sum + one.ticks, 0) });
}

/** Whether typed text is meant as a sticking and not as a line: most words are letters of limbs, at least one,
 * and none is a note value. What cannot be read of it is then what is wrong with it.
 * @example looksSticking('16: fR gL R R') // => true: only `gL` cannot be read */
export function looksSticking(text: string): boolean {
  const words = spellRepeats(text).filter((word) => word !== '|' && !/^\d+t?:$/.test(word));
  const read = words.filter((word) => /^([>fduUioz]*[RLKFTrl-])+$/.test(word));
  return (
    read.length * 2 > words.length &&
    words.every((word) => !/\d/.test(word)) &&
    /[a-zA-Z]/.test(read.join(''))
  );
}

/** The limbs that a letter stands for, in limb order. */
export function limbsOfLetter(letter: string): readonly Limb[] {
  const limbs: Readonly<Record<string, readonly Limb[]>> = {
    R: ['RH'],
    L: ['LH'],
    T: ['RH', 'LH'],
    K: ['RF'],
    F: ['LF'],
    r: ['RF'],
    l: ['LF'],
  };
  return limbs[letter] ?? [];
}

/** Hands swap, feet stay. @example mirrorLetters('RLLK') // => 'LRRK' */
export function mirrorLetters(text: string): string {
  return text.replace(/[RL]/g, (letter) => (letter === 'R' ? 'L' : 'R'));
}

/** The letter that marks an ornament; empty where it has none. */
export function ornamentMark(ornament: Ornament): string {
  return Object.keys(ORNAMENTS).find((mark) => ORNAMENTS[mark] === ornament) ?? '';
}
