import { describe, expect, it } from 'vitest';
import { isSame } from './path-row';

const ROW = {
  ...{ index: 3, number: 1, exercise: null, before: null, says: ['ride', 'snare'] },
  ...{ points: 2.5, warnings: 0, bars: 1, pinned: null, beyond: false, stops: false },
  practised: false,
} as const;
const nothing = () => undefined;
const PROPS = {
  ...{
    row: ROW,
    rows: [],
    hardest: 4,
    lanesBars: 1,
    chosen: false,
    active: false,
    compared: false,
  },
  ...{ top: 58, height: 58, onChoose: nothing, onOpen: nothing, onDrag: nothing },
};

describe('a row of the path', () => {
  it('that shows the same is not drawn again', () => {
    expect(isSame(PROPS, { ...PROPS, row: { ...ROW, says: [...ROW.says] } })).toBe(true);
  });

  it.each([
    ['says something else', { row: { ...ROW, says: ['ride'] } }],
    ['is pinned', { row: { ...ROW, pinned: 'first' as const } }],
    ['has another number', { row: { ...ROW, number: 2 } }],
    ['is chosen', { chosen: true }],
    ['stands elsewhere', { top: 116 }],
    ['is measured against another', { hardest: 5 }],
  ])('that %s is', (_, change) => {
    expect(isSame(PROPS, { ...PROPS, ...change })).toBe(false);
  });
});
