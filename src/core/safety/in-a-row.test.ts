import { describe, expect, it } from 'vitest';
import { ENGLISH, sayInARow } from '@/words';
import { must } from '../issue';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import { bpm, tempoFor } from '../time';
import { isLongInARow, longestInARow, type Stint } from '.';

const feet = must(expand(toggleOstinato(blankRecipe(), 'double-bass-16ths')));
const ride = must(expand(toggleOstinato(blankRecipe(), 'jazz-ride')));

function stint(exercise: typeof feet, tempo: number, seconds: number): Stint {
  return { exercise, tempo: tempoFor(exercise.meter, bpm(tempo)), seconds };
}

const BREAK: Stint = { exercise: null, tempo: null, seconds: 300 };

describe('longestInARow', () => {
  it('tries of one limb that follow each other count together: 16ths at 120 are 4 a second a foot', () => {
    const row = longestInARow([stint(feet, 120, 300), stint(feet, 120, 420)]);
    expect(row).toEqual({ limb: 'RF', seconds: 720, strokes: 2880 });
    expect(row && sayInARow(ENGLISH, row)).toBe(
      'The right foot works 12 min in a row, 2,880 strokes: rest it in between; stop on pain.',
    );
  });

  it('a break, and an exercise in which the limb recovers, begin anew', () => {
    const long = stint(feet, 120, 500);
    expect(longestInARow([long, BREAK, long])?.seconds).toBe(500);
    expect(longestInARow([long, stint(ride, 80, 300), long])?.seconds).toBe(500);
    expect(isLongInARow(longestInARow([long, BREAK, long]))).toBe(false);
  });

  it('slow feet rest while they play', () => {
    expect(longestInARow([stint(feet, 60, 3600)])).toBeNull();
    expect(longestInARow([])).toBeNull();
    expect(isLongInARow(null)).toBe(false);
  });
});
