import { describe, expect, it } from 'vitest';
import { Gate } from './gate';

/** A gate whose turns are taken by hand. */
function byHand(most: number) {
  const turns: (() => void)[] = [];
  const gate = new Gate(most, (run) => turns.push(run));
  const entered: number[] = [];
  return {
    enter: (...who: readonly number[]) => {
      for (const one of who) gate.enter(() => entered.push(one));
    },
    turn: () => turns.shift()?.(),
    left: () => turns.length,
    entered,
  };
}

describe('the gate', () => {
  it('lets in so many a turn, in order, and then as many turns nobody', () => {
    const { enter, turn, entered } = byHand(2);
    enter(1, 2, 3);
    expect(entered).toEqual([]);
    turn();
    expect(entered).toEqual([1, 2]);
    turn();
    turn();
    expect(entered).toEqual([1, 2]);
    enter(4);
    turn();
    turn();
    expect(entered).toEqual([1, 2, 3, 4]);
  });

  it('goes to sleep when nobody waits, and lets the next one in at once', () => {
    const { enter, turn, left, entered } = byHand(16);
    enter(1);
    turn();
    while (left() > 0) turn();
    enter(2);
    expect(left()).toBe(1);
    turn();
    expect(entered).toEqual([1, 2]);
  });

  it('leaves nobody out, however they come', () => {
    const { enter, turn, left, entered } = byHand(3);
    let next = 0;
    for (const count of [5, 0, 1, 7, 0, 0, 2]) {
      for (let n = 0; n < count; n += 1) enter(next++);
      turn();
    }
    while (left() > 0) turn();
    expect(entered).toEqual(Array.from({ length: next }, (_, index) => index));
  });
});
