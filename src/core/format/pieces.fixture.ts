import fc from 'fast-check';
import { must } from '../issue';
import { voice } from '../kit';
import { SHIPPED, SHIPPED_LINES, SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '../materials';
import { notate } from '../notation';
import { blankRecipe, expand, toggleOstinato, type Exercise } from '../recipe';
import { RECIPES } from '../recipe/recipes.fixture';
import { bpm, TICKS_PER_QUARTER } from '../time';
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

/** Exercises of recipes drawn at random that notation can write; the same ones each time. */
export function randomPieces(count: number): readonly Piece[] {
  const pieces = fc
    .sample(RECIPES, { numRuns: Math.ceil(count * 1.25), seed: 41 })
    .flatMap((recipe, index): readonly Piece[] => {
      const made = expand(recipe);
      return made.ok && isWritable(made.value) ? [pieceOf(`Piece ${index}`, made.value)] : [];
    })
    .slice(0, count);
  if (pieces.length < count) throw new Error(`only ${pieces.length} of ${count} can be written`);
  return pieces;
}

/** Where no value is short enough, notation writes the nearest 64th: its onsets are not the strokes'. */
function isWritable(exercise: Exercise): boolean {
  const ats = new Set(exercise.strokes.map(({ at }) => at as number));
  return notate(exercise).every(({ hands, feet }, bar) =>
    [...hands, ...feet].every(
      ({ at, strokes }) => strokes.length === 0 || ats.has(bar * exercise.barTicks + at),
    ),
  );
}

/** A note as a score has it. */
export interface Sounding {
  /** In quarters from the start of the score, repeats not played. */
  readonly at: number;
  /** Of the percussion map. */
  readonly key: number;
}

export const inOrder = (a: Sounding, b: Sounding) => a.at - b.at || a.key - b.key;

/** What is meant: each voice once at each instant. */
export function meant(pieces: readonly Piece[]): readonly Sounding[] {
  let from = 0;
  return pieces.flatMap(({ exercise }) => {
    const begins = from;
    from += exercise.cycleTicks;
    const once = new Map(exercise.strokes.map((one) => [`${one.at} ${one.voice}`, one]));
    return [...once.values()]
      .map((one) => {
        const at = Math.round(((begins + one.at) / TICKS_PER_QUARTER) * 1e6) / 1e6;
        return { at, key: voice(one.voice).midi };
      })
      .sort(inOrder);
  });
}
