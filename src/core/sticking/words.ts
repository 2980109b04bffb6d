import type { Sticking } from './sticking-schema';
import { SUBDIVISION_IDS, type SubdivisionId } from '../time';

/** Grids as they are also called, by notes to the beat. */
const CALLED: Readonly<Record<string, SubdivisionId>> = { '3': '8t', '6': '16t' };

/** A word that sets the grid from there on: `16t:`, `5:`, `6:`; undefined for any other. */
export function gridOf(word: string): SubdivisionId | undefined {
  const name = /^(\d+t?):$/.exec(word)?.[1] ?? '';
  return SUBDIVISION_IDS.find((id) => id === name) ?? CALLED[name];
}

/** Words of a text one after another, repeats written out. `x4` repeats the word before it, the group in
 * brackets before it, or after a bar line the bar.
 * @example spellRepeats('RLL x4 RLRR') // => ['RLL', 'RLL', 'RLL', 'RLL', 'RLRR'] */
export function spellRepeats(text: string): readonly string[] {
  const tokens = text.match(/[()|]|[^\s()|]+/g) ?? [];
  const words: string[] = [];
  /** Where what a repeat takes begins. */
  let unit = 0;
  let bar = 0;
  const open: number[] = [];
  for (const token of tokens) {
    const times = Number(/^x(\d{1,2})$/.exec(token)?.[1] ?? 0);
    if (token === '(') open.push(words.length);
    else if (token === ')') unit = open.pop() ?? unit;
    else if (times > 0) {
      const again = words.slice(unit);
      for (let time = 1; time < times; time += 1) words.push(...again);
    } else if (token === '|') {
      words.push(token);
      unit = bar;
      bar = words.length;
    } else {
      unit = words.length;
      words.push(token);
    }
  }
  return words;
}

/** Grids in the order in which they come into force. @param slot what holds where none is typed */
export function gridsIn(text: string, slot: SubdivisionId): readonly SubdivisionId[] {
  let now = slot;
  const found: SubdivisionId[] = [];
  for (const word of spellRepeats(text)) {
    const grid = gridOf(word);
    if (grid) now = grid;
    else if (word !== '|' && found.at(-1) !== now) found.push(now);
  }
  return found.length > 0 ? found : [now];
}

/** A text in another grid: what it begins with, if it names one, else what holds where none is typed. */
export function inGrid(
  text: string,
  slot: SubdivisionId,
): { readonly sticking: string; readonly slot: SubdivisionId } {
  const begins = /^\s*(\d+t?:)\s*/.exec(text);
  const named = begins?.[1] !== undefined && gridOf(begins[1]) !== undefined;
  return { sticking: named ? text.slice(begins[0].length) : text, slot };
}

/** Whether a sticking marks its accents itself. */
export function isMarked(sticking: string): boolean {
  return sticking.includes('>');
}

/** Whether all strokes are alike, so that there is no rest of them. */
export function isPlain({ sticking, accents }: Pick<Sticking, 'sticking' | 'accents'>): boolean {
  return accents === 'none' && !isMarked(sticking);
}
