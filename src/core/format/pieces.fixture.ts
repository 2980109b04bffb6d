import { must } from '../issue';
import { SHIPPED, SHIPPED_LINES, SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '../materials';
import { blankRecipe, expand, toggleOstinato, type Exercise } from '../recipe';
import { bpm } from '../time';
import type { Piece } from './piece';

export function pieceOf(name: string, exercise: Exercise, tempo = 90): Piece {
  return { name, says: `${name} <&> "said"`, exercise, bpm: bpm(tempo) };
}

/** Everything that ships, as exercises. */
export const SHIPPED_PIECES: readonly Piece[] = [
  ...Object.keys(SHIPPED_OSTINATOS).map((id) =>
    pieceOf(id, must(expand(toggleOstinato(blankRecipe(), id)))),
  ),
  ...Object.entries(SHIPPED_LINES).map(([id, { text, meter }]) =>
    pieceOf(id, must(expand({ ...blankRecipe(), meter, play: { content: { text } } }))),
  ),
  ...SHIPPED.flatMap((one) =>
    one.kind === 'sticking' && one.id in SHIPPED_STICKINGS
      ? [pieceOf(one.id, must(expand({ ...blankRecipe(), play: { content: one.content } })))]
      : [],
  ),
];
