import { must } from '../issue';
import type { Limb, VoiceId } from '../kit';
import type { Lane } from '../materials';
import { blankRecipe, expand, type ClosedRecipe, type Exercise } from '../recipe';
import { bpm, tempoFor, type SubdivisionId, type Tempo } from '../time';

export type Part = readonly [Limb, VoiceId, SubdivisionId, string];

/** An exercise from grid strings, a part each. */
export function exerciseOf(parts: readonly Part[], more: Partial<ClosedRecipe> = {}): Exercise {
  const lanes: Lane[] = parts.map(([limb, voice, slot, grid]) => ({ limb, voice, slot, grid }));
  const over = [{ content: { name: 'parts', meter: '4/4', swung: false, lanes } }];
  return must(expand({ ...blankRecipe(), over, ...more }));
}

export function at(beatsPerMinute: number, exercise: Exercise): Tempo {
  return tempoFor(exercise.meter, bpm(beatsPerMinute));
}
