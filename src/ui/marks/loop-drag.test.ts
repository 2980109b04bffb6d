import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { quarters } from '@/core/time';
import { placeX, systemsOf } from './columns';
import { loopOf, slotAt } from './loop-drag';

const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
const [system] = systemsOf(exercise, { width: 600, gutter: 100 });
if (!system) throw new Error('no system');
const [box] = system.bars;
if (!box) throw new Error('no bar');

describe('slotAt', () => {
  it.each([0, 3, 7])('at column %i of eight is its 8th', (slot) => {
    const at = quarters(slot, 2);
    const found = slotAt(placeX(box, at), system, exercise);
    expect(found).toEqual({ from: at, to: quarters(slot + 1, 2) });
  });

  it('is the first before its column, and none beside the bars', () => {
    expect(slotAt(box.edge + 1, system, exercise)?.from).toBe(0);
    expect(slotAt(box.edge - 1, system, exercise)).toBeNull();
    expect(slotAt(box.right + 1, system, exercise)).toBeNull();
  });
});

describe('loopOf', () => {
  it('goes from the one through the other, whichever comes first', () => {
    const one = { from: quarters(1, 2), to: quarters(1) };
    const other = { from: quarters(3), to: quarters(7, 2) };
    const loop = { from: one.from, to: other.to };
    expect(loopOf(one, other)).toEqual(loop);
    expect(loopOf(other, one)).toEqual(loop);
  });
});
