import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { blankRecipe, editByHand, expand, toggleOstinato, type SeenEdit } from '@/core/recipe';
import { quarters } from '@/core/time';
import { rowsOf } from '../marks';
import {
  assignmentOf,
  clipOf,
  moveStrokes,
  paste,
  setDynamic,
  setLimb,
  setOrnament,
  strokesAt,
  strokesWithin,
  toggleCell,
} from './lane-edits';

const recipe = toggleOstinato(blankRecipe(), 'rock-8ths');
const exercise = must(expand(recipe));
const eighth = quarters(1, 2);

/** What plays after edits, as `place limb voice`, places in 8ths. */
function after(edits: readonly SeenEdit[], of = exercise): string[] {
  const { strokes } = must(expand(editByHand(recipe, of, edits)));
  return strokes.map(({ at, limb, voice }) => `${at / eighth} ${limb} ${voice}`).sort();
}

const before = after([]);

function with_(...names: string[]): string[] {
  return [...before, ...names].sort();
}

function without(...names: string[]): string[] {
  return before.filter((name) => !names.includes(name));
}

describe('a cell', () => {
  it('that is empty takes a stroke, one that is taken loses it', () => {
    const cell = { row: 'bass', at: eighth } as const;
    expect(after(toggleCell(exercise, cell, 'voices'))).toEqual(with_('1 RF bass'));
    const taken = { row: 'bass', at: 0 } as const;
    expect(after(toggleCell(exercise, taken, 'voices'))).toEqual(without('0 RF bass'));
  });

  it('of an open hi-hat takes the place of the closed one there', () => {
    const open = toggleCell(exercise, { row: 'hat-open', at: eighth }, 'voices');
    expect(after(open)).toEqual([...without('1 RH hat'), '1 RH hat-open'].sort());
  });

  it('of a drum takes the place of a drum where both hands are taken', () => {
    const [snare] = exercise.strokes.filter(({ voice }) => voice === 'snare');
    const tom = toggleCell(exercise, { row: 'tom-floor', at: snare?.at ?? 0 }, 'voices');
    expect(after(tom)).toEqual([...without('2 LH snare'), '2 LH tom-floor'].sort());
    expect(tom[0]?.to?.dynamic).toBe(snare?.dynamic);
  });

  it('of the hi-hat by hand leaves the foot that plays it, and the other way round', () => {
    const feet = toggleOstinato(blankRecipe(), 'hats-2-4');
    const made = must(expand(feet));
    const [chick] = made.strokes;
    const added = toggleCell(made, { row: 'hat', at: chick?.at ?? 0 }, 'voices');
    expect(added).toMatchObject([{ from: null, to: { voice: 'hat', limb: 'RH' } }]);
    const foot = toggleCell(exercise, { row: 'hat-foot', at: quarters(0) }, 'voices');
    expect(after(foot)).toEqual(with_('0 LF hat-foot'));
  });

  it('is played by the hand that is free', () => {
    const tom = toggleCell(exercise, { row: 'tom-floor', at: eighth }, 'voices');
    expect(after(tom)).toEqual(with_('1 LH tom-floor'));
  });

  it('of a limb’s row sounds what that limb plays already', () => {
    expect(assignmentOf(exercise, 'LH', 'limbs')).toEqual({ limb: 'LH', voice: 'snare' });
    expect(assignmentOf(exercise, 'LF', 'limbs')).toEqual({ limb: 'LF', voice: 'hat-foot' });
    expect(assignmentOf(exercise, 'crash', 'voices')).toEqual({ limb: 'RH', voice: 'crash' });
  });
});

describe('strokes between two corners', () => {
  it('are the same from whichever corner', () => {
    const rows = rowsOf(exercise, 'voices', []);
    const cell = fc.record({
      row: fc.constantFrom(...rows.map((row) => row.key)),
      at: fc.nat(7).map((slot) => slot * eighth),
    });
    fc.assert(
      fc.property(cell, cell, (from, to) => {
        const found = strokesWithin(exercise, rows, 'voices', from, to);
        expect(found).toEqual(strokesWithin(exercise, rows, 'voices', to, from));
        const [low, high] = [Math.min(from.at, to.at), Math.max(from.at, to.at)];
        expect(found.every((one) => one.at >= low && one.at <= high)).toBe(true);
      }),
    );
  });
});

describe('dynamics, ornaments and limbs', () => {
  const snares = exercise.strokes.filter((one) => one.voice === 'snare');

  it('given a second time to all, they go', () => {
    const ghosted = must(expand(editByHand(recipe, exercise, setDynamic(snares, 'ghost'))));
    const again = ghosted.strokes.filter((one) => one.voice === 'snare');
    expect(again.map((one) => one.dynamic)).toEqual(['ghost', 'ghost']);
    expect(setDynamic(again, 'ghost').map((one) => one.to?.dynamic)).toEqual(['normal', 'normal']);
    const flams = setOrnament(snares, 'flam').map((one) => one.to?.ornament);
    expect(flams).toEqual(['flam', 'flam']);
    const flammed = snares.map((one) => ({ ...one, ornament: 'flam' as const }));
    expect(setOrnament(flammed, 'flam').map((one) => one.to?.ornament)).toEqual([null, null]);
  });

  it('a stroke given to another limb keeps voice and place', () => {
    expect(after(setLimb(snares, 'RH'))).toEqual(
      [...without('2 LH snare', '6 LH snare'), '2 RH snare', '6 RH snare'].sort(),
    );
  });
});

describe('moving', () => {
  const [bass] = strokesAt(exercise, { row: 'bass', at: 0 }, 'voices');

  it('goes round the cycle, and what lies where it lands gives way', () => {
    const moved = moveStrokes(exercise, bass ? [bass] : [], -4 * eighth, null, 'voices');
    expect(after(moved)).toEqual(without('0 RF bass'));
    expect(after(moveStrokes(exercise, bass ? [bass] : [], -eighth, null, 'voices'))).toEqual(
      [...without('0 RF bass'), '7 RF bass'].sort(),
    );
  });

  it('there and back again changes nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: -15, max: 15 }), (slots) => {
        const by = slots * eighth;
        const all = exercise.strokes;
        const there = editByHand(recipe, exercise, moveStrokes(exercise, all, by, null, 'voices'));
        const moved = must(expand(there));
        const back = moveStrokes(moved, moved.strokes, -by, null, 'voices');
        const home = must(expand(editByHand(there, moved, back)));
        const say = (one: typeof exercise) =>
          one.strokes.map((s) => `${s.at} ${s.limb} ${s.voice}`);
        expect(say(home).sort()).toEqual(say(exercise).sort());
      }),
    );
  });
});

describe('pasting', () => {
  it('strokes of one row go onto the row of the cursor', () => {
    const clip = clipOf(
      exercise.strokes.filter((one) => one.voice === 'snare'),
      'voices',
    );
    if (!clip) throw new Error('nothing copied');
    const edits = paste(exercise, clip, { row: 'bass', at: eighth }, 'voices');
    expect(after(edits)).toEqual(with_('1 RF bass', '5 RF bass'));
  });

  it('strokes of several rows keep their rows, past the end they come round', () => {
    const clip = clipOf(
      exercise.strokes.filter((one) => one.at === 0),
      'voices',
    );
    if (!clip) throw new Error('nothing copied');
    const edits = paste(exercise, clip, { row: 'snare', at: 7 * eighth }, 'voices');
    expect(after(edits)).toEqual(with_('7 RF bass'));
  });

  it('nothing chosen gives no clip', () => expect(clipOf([], 'voices')).toBeNull());
});
