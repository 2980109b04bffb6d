import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import type { Limb } from '../kit';
import { stickingStart } from '../sticking';
import { quarters } from '../time';
import { blankRecipe, expand, toggleOstinato, type ClosedRecipe } from '.';

/** A groove, and a fill placed backwards from the end of so many bars; worked by hand, common practice. */
function fill(
  groove: string,
  sticking: string,
  slot: '16' | '16t',
  more: Partial<ClosedRecipe> = {},
): ClosedRecipe {
  return {
    ...toggleOstinato(blankRecipe(), groove),
    play: { content: { ...stickingStart(sticking), slot, accents: 'none' } },
    changes: [{ kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'end', over: 'goes on' }],
    ...more,
  };
}

/** Places of a limb's groove, in beats from 0. */
function beatsOf(recipe: ClosedRecipe, limb: Limb): readonly number[] {
  const { strokes } = must(expand(recipe));
  const groove = strokes.filter((one) => one.limb === limb && one.from.source === 'over');
  return groove.map(({ at }) => Math.round((at / quarters(1)) * 100) / 100);
}

const eighths = (bars: number) => Array.from({ length: bars * 8 }, (_, nth) => nth / 2);

describe('a fill of two beats after four bars of rock in 8ths', () => {
  const twoBeats = fill('rock-8ths', 'RLRLRLRL', '16');
  const before = (beats: readonly number[]) => beats.filter((beat) => beat < 14);

  it('leaves everything before it', () => {
    expect(beatsOf(twoBeats, 'RH')).toEqual(before(eighths(4)));
    expect(beatsOf(twoBeats, 'LH')).toEqual([1, 3, 5, 7, 9, 11, 13]);
  });

  it('leaves the foot, which it does not take, or lets all of the groove rest', () => {
    const feet = beatsOf(toggleOstinato(blankRecipe(), 'rock-8ths'), 'RF');
    const four = [0, 4, 8, 12].flatMap((bar) => feet.map((beat) => bar + beat));
    expect(beatsOf(twoBeats, 'RF')).toEqual(four);
    expect(beatsOf({ ...twoBeats, clash: 'groove' }, 'RF')).toEqual(before(four));
  });

  it('as recipes of old have it, takes its hands from all four bars', () => {
    const old = { ...twoBeats, clash: 'throughout' as const };
    expect([beatsOf(old, 'RH'), beatsOf(old, 'LH')]).toEqual([[], []]);
  });
});

describe('a sextuplet on the last beat of every fourth bar of a shuffle', () => {
  const lick = fill('shuffle', 'RLRLRL', '16t');
  const alone = beatsOf(toggleOstinato(blankRecipe(), 'shuffle'), 'RH');

  it('leaves the ride in three bars and three beats', () => {
    const four = [0, 4, 8, 12].flatMap((bar) => alone.map((beat) => bar + beat));
    expect(beatsOf(lick, 'RH')).toEqual(four.filter((beat) => beat < 15));
  });

  it('that begins a 16th before its beat starts there, and the groove stops there', () => {
    const pickup: ClosedRecipe = {
      ...lick,
      play: { content: { ...stickingStart('RLRLR'), accents: 'none' } },
      changes: [
        { kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'last note', over: 'goes on' },
      ],
    };
    const { strokes } = must(expand(pickup));
    const phrase = strokes.filter((one) => one.from.source !== 'over').map(({ at }) => at);
    expect(phrase.map((at) => at / quarters(1, 4))).toEqual([0, 60, 61, 62, 63]);
    expect(beatsOf(pickup, 'RH').filter((beat) => beat >= 15 || beat === 0)).toEqual([]);
    expect(beatsOf(pickup, 'RH')).toContain(alone.find((beat) => beat > 0));
  });
});

describe('a phrase that lands on beat 1', () => {
  const lands = (sticking: string, more: Partial<ClosedRecipe> = {}): ClosedRecipe =>
    fill('rock-8ths', sticking, '16', {
      changes: [
        { kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'last note', over: 'goes on' },
      ],
      ...more,
    });
  const onOne = (recipe: ClosedRecipe) =>
    must(expand(recipe))
      .strokes.filter(({ at }) => at === 0)
      .map(({ limb, voice }) => `${limb} ${voice}`)
      .sort();

  it('takes there only the limb that strikes: hat and bass drum land with it', () => {
    expect(onOne(lands('LRLK'))).toEqual(['RF bass', 'RH hat']);
    expect(onOne(lands('KRLR'))).toEqual(['RF bass', 'RH snare']);
    expect(onOne(lands('KRLR', { clash: 'groove' }))).toEqual(['RF bass', 'RH snare']);
    expect(onOne(lands('LRLK', { clash: 'groove' }))).toEqual(['RF bass', 'RH hat']);
  });

  it('takes its limbs before that', () => {
    expect(beatsOf(lands('LRLK'), 'RH')).toEqual(eighths(4).filter((beat) => beat !== 15.5));
  });

  it('lets a groove that rests land, too', () => {
    const rests = lands('LRLK');
    const [aim] = rests.changes;
    if (aim?.kind !== 'aim') throw new Error('no aim');
    expect(onOne({ ...rests, changes: [{ ...aim, over: 'rests' }] })).toEqual([
      'RF bass',
      'RH hat',
    ]);
  });
});

describe('a phrase placed by the beat inside a bar', () => {
  const on = (bars: number, bar: number, beat: number, lands = 0): ClosedRecipe =>
    fill('rock-8ths', 'RLRL', '16', {
      changes: [
        {
          kind: 'aim',
          ...{ bars, times: 1, lands, slot: '16', by: 'start', on: { bar, beat }, over: 'goes on' },
        },
      ],
    });
  const starts = (recipe: ClosedRecipe) => {
    const { strokes } = must(expand(recipe));
    return strokes.find((one) => one.from.source === 'line')?.at;
  };

  it('starts there, and the groove around it stays', () => {
    expect(starts(on(4, 4, 3))).toBe(14 * quarters(1));
    expect(beatsOf(on(4, 4, 3), 'LH')).toEqual([1, 3, 5, 7, 9, 11, 13, 15]);
    expect(beatsOf(on(4, 4, 4), 'LH')).toEqual([1, 3, 5, 7, 9, 11, 13]);
    expect(beatsOf(on(1, 1, 2), 'RH')).toEqual([0, 0.5, 2, 2.5, 3, 3.5]);
  });

  it('starts so many slots after it', () => {
    expect(starts(on(4, 2, 1, 3))).toBe(4 * quarters(1) + 3 * quarters(1, 4));
  });
});
