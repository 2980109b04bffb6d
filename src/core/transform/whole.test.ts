import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exerciseOf } from '../analysis/analysis.fixture';
import { letterOf } from '../kit';
import type { Exercise, Recipe } from '../recipe';
import { stickingStart } from '../sticking';
import { quarters, slotTicks, type SubdivisionId } from '../time';
import { joinEdit, turnLetters, type HandEdit } from '.';

type Change = Recipe['changes'][number];

const BASS = { limb: 'RF', voice: 'bass' } as const;
const SNARE = { limb: 'LH', voice: 'snare' } as const;

/** Slots of a bar on which a voice sounds. */
function slotsOf(exercise: Exercise, voice: string, slot: SubdivisionId): number[] {
  return exercise.strokes
    .filter((stroke) => stroke.voice === voice)
    .map((stroke) => stroke.at / slotTicks(slot));
}

function ride(slot: SubdivisionId, grid: string, ...changes: Change[]): Exercise {
  return exerciseOf([['RH', 'ride', slot, grid]], { changes });
}

function letters(exercise: Exercise): string {
  return exercise.strokes.map((stroke) => letterOf(stroke.limb)).join('');
}

const secondFromFirst: Change = {
  kind: 'every-nth',
  of: { limb: 'RH', voice: null },
  nth: 2,
  first: 1,
  to: BASS,
  dynamic: 'normal',
};
const secondFromSecond: Change = {
  ...secondFromFirst,
  of: { limb: 'RF', voice: null },
  first: 2,
  to: SNARE,
};

describe('everyNth (common practice, no source)', () => {
  it.each([
    ['8', 'xxxxxxxx', [0, 2, 4, 6], [2, 6]],
    ['8t', 'xxxxxxxxxxxx', [0, 2, 4, 6, 8, 10], [2, 6, 10]],
  ] as const)('right hand in %s: bass drum, then snare on every 2nd of it', (slot, grid, k, s) => {
    const exercise = ride(slot, grid, secondFromFirst, secondFromSecond);
    expect(slotsOf(exercise, 'bass', slot)).toEqual(k);
    expect(slotsOf(exercise, 'snare', slot)).toEqual(s);
  });

  it('begins anew where the subdivision changes', () => {
    const exercise = ride('8', 'xxxxxxx- 8t: xxxxxxxxxxxx', secondFromFirst);
    const inTriplets = slotsOf(exercise, 'bass', '8t').filter((slot) => slot >= 12);
    expect(inTriplets).toEqual([12, 14, 16, 18, 20, 22]);
  });

  it('quarters of one part among 8ths of another are counted on, triplets anew', () => {
    const among = (slot: SubdivisionId, quarterGrid: string, grid: string) =>
      exerciseOf(
        [
          ['RH', 'ride', '4', quarterGrid],
          ['RH', 'ride-bell', slot, grid],
        ],
        { changes: [secondFromFirst] },
      );
    expect(slotsOf(among('8', 'xxxx', '-x-x-x-x'), 'bass', '8')).toEqual([0, 2, 4, 6]);
    expect(slotsOf(among('8t', 'x-x-', '-xxxxx------'), 'bass', '8t')).toEqual([0, 1, 3, 5, 6]);
  });

  it('loops until the count comes out even: every 3rd of 8 takes three bars', () => {
    const exercise = ride('8', 'xxxxxxxx', { ...secondFromFirst, nth: 3 });
    expect(exercise.bars).toBe(3);
    const gaps = slotsOf(exercise, 'bass', '8');
    expect(gaps).toEqual([0, 3, 6, 9, 12, 15, 18, 21]);
  });
});

describe('substitute', () => {
  const lrlr = (rule: Partial<Extract<Change, { kind: 'substitute' }>>) =>
    exerciseOf([], {
      play: { content: sticking('LRLR') },
      changes: [
        {
          kind: 'substitute',
          part: 'line',
          every: 4,
          place: 4,
          to: BASS,
          hands: 'kept',
          ...rule,
        },
      ],
    });

  it('LRLR → LRLK (common practice, no source)', () => {
    expect(letters(lrlr({})).slice(0, 8)).toBe('LRLKLRLK');
  });

  it('LRLR → KRLR with the hands derived anew, which takes twice as long', () => {
    expect(letters(lrlr({ place: 1, hands: 'anew' })).slice(0, 8)).toBe('KRLRKLRL');
  });
});

function sticking(text: string) {
  return { ...stickingStart(text), accents: 'none' as const };
}

describe('turnVoices (common practice, no source)', () => {
  const cell = { voices: ['bass', 'tom-high', 'tom-floor'] as const, turn: 0, reversed: false };

  it.each([
    [0, false, 'ABC'],
    [1, false, 'BCA'],
    [2, false, 'CAB'],
    [0, true, 'ACB'],
    [1, true, 'CBA'],
    [2, true, 'BAC'],
  ])('turn %i, reversed %s is %s', (turn, reversed, expected) => {
    expect(turnLetters({ ...cell, turn, reversed })).toBe(expected);
    const exercise = exerciseOf(
      [
        ['RF', 'bass', '8t', 'x--'],
        ['RH', 'tom-high', '8t', '-x-'],
        ['LH', 'tom-floor', '8t', '--x'],
      ],
      {
        changes: [{ kind: 'turn', part: 'all', ...cell, voices: [...cell.voices], turn, reversed }],
      },
    );
    const names: Record<string, string> = { bass: 'A', 'tom-high': 'B', 'tom-floor': 'C' };
    const said = exercise.strokes.slice(0, 3).map((stroke) => names[stroke.voice]);
    expect(said.join('')).toBe(expected);
    const limbs: Record<string, string> = { bass: 'RF', 'tom-high': 'RH', 'tom-floor': 'LH' };
    expect(exercise.strokes.every((stroke) => limbs[stroke.voice] === stroke.limb)).toBe(true);
  });
});

describe('placed notes', () => {
  it('a placement goes round through the bar: K on x--x in every beat', () => {
    const exercise = ride('8', 'xxxxxxxx', {
      kind: 'place',
      to: BASS,
      slot: '16',
      grid: 'x--x',
    });
    expect(slotsOf(exercise, 'bass', '16')).toEqual([0, 3, 4, 7, 8, 11, 12, 15]);
  });

  it('the anchor stays loudest: a ghost on the backbeat is not added', () => {
    const exercise = exerciseOf([['LH', 'snare', '4', '-X-X']], {
      changes: [{ kind: 'place', to: SNARE, slot: '16', grid: '---gg---' }],
    });
    const loud = exercise.strokes.map((stroke) => [stroke.at / quarters(1, 4), stroke.dynamic]);
    expect(loud).toEqual([
      [3, 'ghost'],
      [4, 'accent'],
      [11, 'ghost'],
      [12, 'accent'],
    ]);
  });

  it('thickening stands around the accents, over the seam too', () => {
    const around: Change = {
      kind: 'thicken',
      around: 'accents',
      side: 'both',
      count: 1,
      slot: '16',
      to: SNARE,
      dynamic: 'ghost',
    };
    const exercise = exerciseOf([['LH', 'snare', '4', 'X-X-']], { changes: [around] });
    expect(slotsOf(exercise, 'snare', '16')).toEqual([0, 1, 7, 8, 9, 15]);
  });

  it('thinning to the accents undoes it', () => {
    const exercise = exerciseOf([['LH', 'snare', '8', 'xXxxxXxx']], {
      changes: [{ kind: 'thin', part: 'all', limb: 'LH', keep: 'accents' }],
    });
    expect(slotsOf(exercise, 'snare', '8')).toEqual([1, 5]);
  });
});

describe('orchestrate', () => {
  const beat = (rule: Partial<Extract<Change, { kind: 'orchestrate' }>>) =>
    exerciseOf(
      [
        ['RH', 'hat', '8', 'xxxxxxxx'],
        ['RF', 'bass', '4', 'x-x-'],
      ],
      {
        changes: [
          {
            kind: 'orchestrate',
            part: 'all',
            notes: 'lone',
            limb: null,
            to: 'tom-floor',
            pass: 'every',
            ...rule,
          },
        ],
      },
    );

  it('lone notes to a tom, unisons to the bell', () => {
    expect(slotsOf(beat({}), 'tom-floor', '8')).toEqual([1, 2, 3, 5, 6, 7]);
    expect(slotsOf(beat({ notes: 'unisons', to: 'ride-bell' }), 'ride-bell', '8')).toEqual([0, 4]);
  });

  it('a second pass with the hand on another surface doubles the cycle', () => {
    const exercise = beat({ notes: 'all', limb: 'RH', to: 'ride', pass: 'second' });
    expect(exercise.bars).toBe(2);
    expect(slotsOf(exercise, 'hat', '8')).toHaveLength(8);
    expect(slotsOf(exercise, 'ride', '8')[0]).toBe(8);
  });
});

describe('aimPhrase', () => {
  const ruff = (by: 'end' | 'last note', lands = 0) =>
    exerciseOf([['RF', 'bass', '4', 'xxxx']], {
      play: { content: sticking('RLR-') },
      changes: [{ kind: 'aim', bars: 4, times: 1, lands, slot: '16', by, over: 'rests' }],
    });

  it('a ruff whose last note is to fall on beat 1 starts before it', () => {
    expect(slotsOf(ruff('last note'), 'snare', '16')).toEqual([0, 62, 63]);
  });

  it('ends at the bar line, or where it is told to land; the ostinato rests under it', () => {
    expect(slotsOf(ruff('end'), 'snare', '16')).toEqual([60, 61, 62]);
    expect(slotsOf(ruff('end', -4), 'snare', '16')).toEqual([56, 57, 58]);
    expect(slotsOf(ruff('end'), 'bass', '16')).toHaveLength(15);
    expect(ruff('end').bars).toBe(4);
  });
});

describe('hand edits', () => {
  const place = { at: 0, limb: 'RF', voice: 'bass' } as const;
  const note = { ...place, dynamic: 'normal', ornament: null } as const;

  it('add, move, change and take away; what is gone is counted as stale', () => {
    const edits: HandEdit[] = [
      { from: null, to: { ...note, at: quarters(1, 4) } },
      { from: place, to: { ...note, dynamic: 'accent', ornament: 'flam' } },
      { from: { ...place, at: quarters(2) }, to: null },
      { from: { ...place, at: quarters(3) }, to: null },
    ];
    const exercise = exerciseOf([['RF', 'bass', '4', 'x-x-']], {
      changes: [{ kind: 'hand', length: quarters(4), edits }],
    });
    expect(slotsOf(exercise, 'bass', '16')).toEqual([0, 1]);
    expect(exercise.strokes[0]).toMatchObject({ dynamic: 'accent', ornament: 'flam' });
    expect(exercise.stale).toBe(1);
  });

  it('repeat with the length they were made in', () => {
    const changes: Change[] = [
      { kind: 'hand', length: quarters(4), edits: [{ from: null, to: { ...note, at: 0 } }] },
    ];
    const exercise = exerciseOf([['RH', 'ride', '8t', 'x----']], { changes });
    expect(exercise.bars).toBe(5);
    expect(slotsOf(exercise, 'bass', '4')).toEqual([0, 4, 8, 12, 16]);
  });

  it('of one stroke join; what undoes itself goes', () => {
    const moved = { ...note, at: 10 };
    const once = joinEdit([], { from: null, to: note });
    expect(joinEdit(once, { from: place, to: moved })).toEqual([{ from: null, to: moved }]);
    expect(joinEdit(once, { from: place, to: null })).toEqual([]);
  });

  it('joined one by one do the same as all at once', () => {
    const at = fc.integer({ min: 0, max: 15 }).map((slot) => slot * quarters(1, 4));
    fc.assert(
      fc.property(fc.array(fc.tuple(at, at), { maxLength: 6 }), (moves) => {
        let there = new Set<number>();
        let edits: readonly HandEdit[] = [];
        for (const [from, to] of moves) {
          if (there.has(to)) continue;
          const old = there.has(from) ? { ...place, at: from } : null;
          edits = joinEdit(edits, { from: old, to: { ...note, at: to } });
          there = new Set([...there].filter((one) => old === null || one !== from).concat(to));
        }
        const exercise = exerciseOf([['RH', 'ride', '4', 'xxxx']], {
          changes: [{ kind: 'hand', length: quarters(4), edits: [...edits] }],
        });
        const placed = exercise.strokes.filter((one) => one.voice === 'bass').map((one) => one.at);
        expect(placed).toEqual([...there].sort((a, b) => a - b));
      }),
    );
  });
});
