import tone from '@tonejs/midi';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../../samples.fixture';
import { must } from '../../issue';
import { voice } from '../../kit';
import { figureOf } from '../../pattern';
import { blankRecipe, expand, soundingLength, soundsAt, toggleOstinato } from '../../recipe';
import { RECIPES } from '../../recipe/recipes.fixture';
import { TICKS_PER_QUARTER } from '../../time';
import type { Piece } from '../piece';
import { pieceOf, SHIPPED_PIECES } from '../pieces.fixture';
import { velocityOf } from '../velocity';
import { writeMidi } from '.';

type Row = readonly [at: number, key: number];

const inOrder = (a: Row, b: Row) => a[0] - b[0] || a[1] - b[1];

/** What an independent parser (@tonejs/midi) finds: every key that is struck, in ticks. */
function readBack(bytes: Uint8Array): readonly Row[] {
  const { tracks } = new tone.Midi(bytes);
  return tracks
    .flatMap((track) => track.notes.map(({ ticks, midi }): Row => [ticks, midi]))
    .sort(inOrder);
}

/** What is meant: strokes where they sound, with all that they turn into; grace notes apart. */
function meant(pieces: readonly Piece[]): readonly Row[] {
  let from = 0;
  return pieces
    .flatMap(({ exercise }) => {
      const begins = from;
      from += exercise.cycleTicks;
      return exercise.strokes.flatMap((stroke): Row[] => {
        if (stroke.tail) return [];
        const length = stroke.ornament ? soundingLength(stroke, exercise) : 0;
        return figureOf(stroke)
          .filter(({ kind }) => kind !== 'grace')
          .map(({ share }) => [
            Math.round(begins + soundsAt(stroke, exercise) + share * length),
            voice(stroke.voice).midi,
          ]);
      });
    })
    .sort(inOrder);
}

function graces(pieces: readonly Piece[]): number {
  const strokes = pieces.flatMap(({ exercise }) => exercise.strokes.filter(({ tail }) => !tail));
  return strokes.flatMap((one) => figureOf(one).filter(({ kind }) => kind === 'grace')).length;
}

describe('writeMidi', () => {
  it('all that ships: an independent parser finds the same ticks and keys', () => {
    const plain = SHIPPED_PIECES.filter(({ exercise }) =>
      exercise.strokes.every(({ ornament }) => !ornament || /diddle|roll|buzz/.test(ornament)),
    );
    expect(plain.length).toBeGreaterThan(60);
    expect(readBack(writeMidi('All', plain))).toEqual(meant(plain));
  });

  it('so does it for every exercise', () => {
    fc.assert(
      fc.property(RECIPES, (recipe) => {
        const made = expand(recipe);
        if (!made.ok) return;
        const pieces = [pieceOf('One', made.value), pieceOf('Again', made.value)];
        // Grace notes come before what they lead to: whatever else there is, is as many as they are.
        const rest = readBack(writeMidi('Two', pieces)).map(String);
        for (const row of meant(pieces)) {
          const found = rest.indexOf(String(row));
          expect(found, String(row)).toBeGreaterThanOrEqual(0);
          rest.splice(found, 1);
        }
        expect(rest).toHaveLength(graces(pieces));
      }),
      { numRuns: samples(500) },
    );
  });

  it('has a track for each limb on channel 10, with names, tempi and meters in the first', () => {
    const six = { ...blankRecipe(), meter: '6/8', play: { content: { text: '8 8 8 4.' } } };
    const bytes = writeMidi('Überlauf', [
      pieceOf('Rock', must(expand(toggleOstinato(blankRecipe(), 'rock-8ths'))), 100),
      pieceOf('Six', must(expand(six)), 80),
    ]);
    const { header, tracks } = new tone.Midi(bytes);
    expect(header.ppq).toBe(TICKS_PER_QUARTER);
    // 80 dotted quarters are 120 quarters.
    expect(header.tempos.map(({ ticks, bpm }) => [ticks, Math.round(bpm)])).toEqual([
      [0, 100],
      [4 * TICKS_PER_QUARTER, 120],
    ]);
    expect(header.timeSignatures.map(({ timeSignature }) => timeSignature)).toEqual([
      [4, 4],
      [6, 8],
    ]);
    const played = tracks.filter(({ notes }) => notes.length > 0);
    expect(played.map(({ name, channel }) => `${name} ${channel}`)).toEqual([
      'RH 9',
      'LH 9',
      'RF 9',
    ]);
    expect(new TextDecoder().decode(bytes)).toContain('Überlauf');
  });

  it('puts grace notes before their note, the other hand’s, and softer', () => {
    const exercise = must(expand({ ...blankRecipe(), play: { content: { text: '4r 4 4r 4r' } } }));
    const strokes = exercise.strokes.map((stroke) => ({ ...stroke, ornament: 'flam' as const }));
    const { tracks } = new tone.Midi(
      writeMidi('Flam', [pieceOf('Flam', { ...exercise, strokes }, 60)]),
    );
    const rows = tracks.flatMap(({ name, notes }) =>
      notes.map(({ ticks, velocity }) => ({ name, ticks, velocity })),
    );
    const [grace, main] = rows.sort((a, b) => a.ticks - b.ticks);
    // 30 ms at 60 are 0.03 of a quarter.
    expect((main?.ticks ?? 0) - (grace?.ticks ?? 0)).toBe(Math.round(0.03 * TICKS_PER_QUARTER));
    expect(new Set([grace?.name, main?.name]).size).toBe(2);
    expect(grace?.velocity).toBeLessThan(main?.velocity ?? 0);
  });

  it('a grace note before the very start stands on it', () => {
    const exercise = must(expand({ ...blankRecipe(), play: { content: { text: '4 4 4 4' } } }));
    const strokes = exercise.strokes.map((stroke) => ({ ...stroke, ornament: 'ruff' as const }));
    const bytes = writeMidi('Ruffs', [pieceOf('Ruffs', { ...exercise, strokes })]);
    expect(Math.min(...readBack(bytes).map(([at]) => at))).toBe(0);
  });
});

describe('velocityOf', () => {
  it.each([
    ['ghost', 0, 42],
    ['accent', 0, 120],
    ['accent', 10, 127],
    ['ghost', -80, 1],
  ] as const)('%s at %d dB is %d', (dynamic, db, velocity) => {
    expect(velocityOf(dynamic, db)).toBe(velocity);
  });
});
