import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '@/samples.fixture';
import { must } from '@/core/issue';
import { blankRecipe, editByHand, expand, toggleOstinato, type Exercise } from '@/core/recipe';
import { quarters } from '@/core/time';
import { rowsOf, strokeKey, type Cell } from '../marks';
import { aboutOf, laneAfter, laneStart, type LaneAction, type LaneState } from './lane-editor';

const rock = toggleOstinato(blankRecipe(), 'rock-8ths');
const sixteenth = quarters(1, 4);

/** A hand at the lanes: what it has come to, action by action, each edit in the recipe. */
function after(actions: readonly LaneAction[], recipe = rock) {
  let now = recipe;
  let exercise: Exercise = must(expand(now));
  let state: LaneState = laneStart(exercise);
  let edits = 0;
  for (const action of actions) {
    const done = laneAfter(state, { exercise, kind: 'voices' }, action);
    state = done.state;
    if (done.edits.length === 0) continue;
    edits += 1;
    now = editByHand(now, exercise, done.edits);
    exercise = must(expand(now));
  }
  const about = aboutOf(state, { exercise, kind: 'voices' });
  return { state, exercise, edits, chosen: about.map(strokeKey) };
}

const said = ({ exercise }: { exercise: Exercise }) =>
  exercise.strokes.map(
    ({ at, limb, voice, dynamic }) => `${at / sixteenth} ${limb} ${voice} ${dynamic}`,
  );

const before = said(after([]));

const right = { kind: 'step', dx: 1, dy: 0, extend: false } as const;
const down = { kind: 'step', dx: 0, dy: 1, extend: false } as const;
const widen = { kind: 'step', dx: 1, dy: 0, extend: true } as const;
const there = (row: Cell['row'], slot: number): Cell => ({ row, at: slot * sixteenth });
const press = (row: Cell['row'], slot: number, keys = {}): LaneAction => ({
  kind: 'drag',
  from: there(row, slot),
  to: there(row, slot),
  shift: false,
  mod: false,
  ...keys,
});

describe('a stroke in place of another', () => {
  it('is one press once its row is there, and says what it took the place of', () => {
    const done = after([{ kind: 'all-rows' }, press('tom-floor', 12)]);
    expect(said(done).filter((one) => one.startsWith('12 LH'))).toEqual(['12 LH tom-floor accent']);
    expect(done.state.instead).toBe('snare');
    expect(after([{ kind: 'all-rows' }, press('tom-floor', 12), right]).state.instead).toBeNull();
  });

  it('is one choice of its voice', () => {
    const done = after([press('snare', 12), { kind: 'voice', voice: 'cross-stick' }]);
    expect(said(done).filter((one) => one.startsWith('12 LH'))).toEqual([
      '12 LH cross-stick accent',
    ]);
    expect(said(done)).toHaveLength(before.length);
  });
});

describe('the cursor', () => {
  it('begins at the first row and column, and stays within', () => {
    expect(after([right]).state.cursor).toEqual(there('hat', 0));
    expect(after([right, right, right]).state.cursor).toEqual(there('hat', 2));
    const far = Array.from({ length: 40 }, () => right);
    expect(after([...far, ...far.map(() => down)]).state.cursor).toEqual(there('bass', 15));
  });

  it('walks in the grid that is set', () => {
    const walked = after([right, { kind: 'grid', grid: '8' }, right, right]);
    expect(walked.state.cursor).toEqual(there('hat', 4));
  });

  it('with Shift chooses what lies between', () => {
    const { chosen } = after([right, widen, widen, widen, widen]);
    expect(chosen).toEqual(['0 RH hat', `${2 * sixteenth} RH hat`, `${4 * sixteenth} RH hat`]);
  });
});

describe('a stroke', () => {
  it('is written on an empty cell, and taken from a full one', () => {
    const added = after([press('bass', 2)]);
    expect(said(added)).toContain('2 RF bass normal');
    expect(added.edits).toBe(1);
    const gone = after([press('bass', 0), { kind: 'remove' }]);
    expect(said(gone)).not.toContain('0 RF bass normal');
    expect(gone.exercise.strokes).toHaveLength(before.length - 1);
  });

  it('with a dynamic is written as loud as that', () => {
    const ghost = after([right, down, right, { kind: 'dynamic', dynamic: 'ghost' }]);
    expect(said(ghost)).toContain('1 LH snare ghost');
  });

  it('that is chosen goes to another hand, and stays chosen there', () => {
    const { chosen } = after([press('snare', 4), { kind: 'limb', letter: 'R' }]);
    expect(chosen).toEqual([`${4 * sixteenth} RH snare`]);
  });

  it('is carried with its cursor, over the seam too', () => {
    const later = after([press('bass', 0), { kind: 'carry', dx: -1, dy: 0 }]);
    expect(said(later)).toContain('15 RF bass normal');
    expect(later.state.cursor).toEqual(there('bass', 15));
    expect(later.chosen).toEqual([`${15 * sixteenth} RF bass`]);
  });

  it('is carried to no row that is not there', () => {
    const below = after([press('bass', 0), { kind: 'carry', dx: 0, dy: 1 }]);
    expect(said(below)).toEqual(before);
    expect(below.edits).toBe(0);
  });
});

describe('a drag', () => {
  const drag = (from: [Cell['row'], number], to: [Cell['row'], number], keys = {}): LaneAction => ({
    kind: 'drag',
    from: there(...from),
    to: there(...to),
    shift: false,
    mod: false,
    ...keys,
  });

  it('from a stroke moves it, and the others that are chosen with it', () => {
    const one = after([drag(['bass', 0], ['bass', 3])]);
    expect(said(one)).toContain('3 RF bass normal');
    const two = after([
      press('bass', 0),
      press('bass', 8, { mod: true }),
      drag(['bass', 0], ['bass', 1]),
    ]);
    expect(said(two)).toEqual(expect.arrayContaining(['1 RF bass normal', '9 RF bass normal']));
    expect(two.chosen).toHaveLength(2);
  });

  it('from an empty cell draws a frame', () => {
    const { chosen, edits } = after([drag(['snare', 3], ['bass', 8])]);
    expect(chosen).toEqual([`${4 * sixteenth} LH snare`, `${8 * sixteenth} RF bass`]);
    expect(edits).toBe(0);
  });

  it('with Control chooses one more, or one less', () => {
    const both = [press('bass', 0), press('bass', 8, { mod: true })];
    expect(after(both).chosen).toHaveLength(2);
    expect(after([...both, press('bass', 0, { mod: true })]).chosen).toEqual([
      `${8 * sixteenth} RF bass`,
    ]);
  });
});

describe('what is copied', () => {
  it('is put in where the cursor is, and chosen there', () => {
    const { exercise, chosen } = after([
      press('bass', 0),
      { kind: 'copy' },
      press('bass', 3, { mod: true }),
      { kind: 'paste' },
    ]);
    expect(said({ exercise })).toContain('3 RF bass normal');
    expect(chosen).toEqual([`${3 * sixteenth} RF bass`]);
  });

  it('is nothing where nothing was', () => {
    expect(after([right, { kind: 'paste' }]).edits).toBe(0);
  });
});

describe('rows', () => {
  it('of an empty exercise are those of a small kit, and one more when it is asked for', () => {
    const empty = { ...blankRecipe(), changes: [{ kind: 'hand', length: 1, edits: [] } as const] };
    const { state, exercise } = after([{ kind: 'row', voice: 'ride' }], empty);
    expect(rowsOf(exercise, 'voices', state.extraRows).map(({ key }) => key)).toEqual([
      'hat',
      'ride',
      'snare',
      'bass',
    ]);
  });
});

const cell = fc.record({
  row: fc.constantFrom<Cell['row']>('hat', 'snare', 'bass'),
  at: fc.nat(15).map((slot) => slot * sixteenth),
});
const anyAction: fc.Arbitrary<LaneAction> = fc.oneof(
  fc.record({
    kind: fc.constant('step' as const),
    dx: fc.integer({ min: -2, max: 2 }),
    dy: fc.integer({ min: -2, max: 2 }),
    extend: fc.boolean(),
  }),
  fc.record({
    kind: fc.constant('carry' as const),
    dx: fc.integer({ min: -1, max: 1 }),
    dy: fc.integer({ min: -1, max: 1 }),
  }),
  fc.record({
    kind: fc.constant('drag' as const),
    from: cell,
    to: cell,
    shift: fc.boolean(),
    mod: fc.boolean(),
  }),
  fc.record({ kind: fc.constantFrom('toggle', 'remove', 'copy', 'paste', 'all', 'none') }),
  fc.record({
    kind: fc.constant('dynamic' as const),
    dynamic: fc.constantFrom('ghost' as const, 'accent' as const),
  }),
);

describe('any hand', () => {
  it('leaves an exercise that plays, with its cursor and its choice in it', () => {
    fc.assert(
      fc.property(fc.array(anyAction, { maxLength: 12 }), (actions) => {
        const { state, exercise } = after(actions);
        const keys = new Set(exercise.strokes.map(strokeKey));
        expect([...state.picked].filter((key) => !keys.has(key))).toEqual([]);
        if (!state.cursor) return;
        expect(state.cursor.at).toBeGreaterThanOrEqual(0);
        expect(state.cursor.at).toBeLessThan(exercise.cycleTicks);
      }),
      { numRuns: samples(150) },
    );
  });
});
