import { strokeAt, type Stroke } from '../pattern';
import { pairedNote, writtenSwing } from '../time';
import type { Exercise } from './exercise';

const DRAWN = new WeakMap<Exercise, Exercise>();

/** An exercise as it is put on paper and lanes: where a swing of 2:1 is heard beside written triplets, its off-beats stand
 * on the last triplet of their beat, where they sound; anything else as it is written.
 * @example the "&" of 1, swung 2:1, over a line in triplets // => two thirds into the beat */
export function asDrawn(exercise: Exercise): Exercise {
  let drawn = DRAWN.get(exercise);
  if (!drawn) DRAWN.set(exercise, (drawn = draw(exercise)));
  return drawn;
}

function draw(exercise: Exercise): Exercise {
  const { feel, meter, strokes, layers } = exercise;
  if (feel.kind !== 'swung' || feel.long !== 2 * feel.short) return exercise;
  const note = pairedNote(meter);
  const isTriplet = ({ at }: Stroke) => at % note !== 0 && (at * 3) % note === 0;
  if (!strokes.some(isTriplet)) return exercise;
  const triplets = { kind: 'triplets' } as const;
  const place = (stroke: Stroke) =>
    strokeAt(stroke, writtenSwing(stroke.at, triplets, meter, stroke.swings));
  return {
    ...exercise,
    feel: triplets,
    strokes: strokes.map(place).toSorted((a, b) => a.at - b.at),
    layers: layers.map((layer) => ({ ...layer, strokes: layer.strokes.map(place) })),
  };
}
