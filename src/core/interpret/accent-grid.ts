import { fail, ok, type Issue } from '../issue';
import { isHand, letterOf, STICKING_LETTERS, type Limb, type StickingLetter } from '../kit';
import { makeStroke, type Dynamic, type Provenance, type Stroke } from '../pattern';
import { lineTicks, onsets } from '../reading';
import { slotTicks, tick } from '../time';
import type { AccentGridOptions } from './accent-grid-schema';
import { gridPlace, offGridIssue, placeInSlots } from './grid-place';
import type { Interpretation } from './types';

/** The line as accents in a filled grid: every slot is played, the notes of the line loudest.
 * @example `4. 4 8 4` in 8th triplets // => XggggXggXXgg */
export const accentGrid: Interpretation<AccentGridOptions> = {
  kind: 'accent-grid',
  reads: 'sticking',
  claims: ({ sticking }) => [
    ...new Set([...sticking].map((letter) => STICKING_LETTERS[letter as StickingLetter])),
  ],
  reassign: (options, to) => {
    const { sticking, voice } = options;
    // One voice for all: what a foot cannot play stays with its hand.
    const letters = [...sticking].map((letter) => {
      const { limb } = to({ limb: STICKING_LETTERS[letter as StickingLetter], voice });
      return isHand(limb) ? letterOf(limb) : letter;
    });
    const [first = 'R'] = letters;
    const isOne = letters.every((letter) => letter === first);
    return { ...options, sticking: isOne ? first : letters.join('') };
  },
  play: (line, { grid, sticking, voice, doubled }) => {
    const slot = slotTicks(grid);
    const length = lineTicks(line);
    const issues: Issue[] = [];
    const accents = new Map<number, number>();
    for (const onset of onsets(line)) {
      const place = gridPlace(onset, grid);
      if (place === null) issues.push(offGridIssue(onset, grid, line));
      else accents.set(place, onset.index);
    }
    if (issues.length > 0) return fail(...issues);
    const strokes: Stroke[] = [];
    const written = placeInSlots(doubled ? slot / 2 : slot);
    const play = (place: number, limb: Limb, dynamic: Dynamic, from: Provenance) =>
      strokes.push(makeStroke({ at: tick(place), limb, voice, dynamic, ...written, from }));
    let before = { onset: -1, at: 0 };
    for (let at = 0, index = 0; at < length; at += slot, index += 1) {
      const letter = (sticking[index % sticking.length] ?? 'R') as StickingLetter;
      const limb = STICKING_LETTERS[letter];
      const onset = accents.get(at);
      if (onset !== undefined) {
        before = { onset, at };
        play(at, limb, 'accent', { source: 'line', onset });
        continue;
      }
      for (const place of doubled ? [at, at + slot / 2] : [at]) {
        const offset = tick(Math.max(0, place - before.at));
        const fill = { source: 'fill', onset: before.onset, cell: sticking, index } as const;
        play(place, limb, 'ghost', { ...fill, offset });
      }
    }
    return ok(strokes);
  },
};
