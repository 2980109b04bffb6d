import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { SHIPPED_OSTINATOS } from '../materials';
import { typedSticking } from '../sticking';
import {
  anchorMends,
  blankRecipe,
  expand,
  INTERPRETATION_STARTS,
  readAs,
  startOf,
  toggleOstinato,
  withFreeLimb,
  withPlay,
} from '.';
import { freePlayer } from './free-limb';

const line = { content: { text: '4. 4 8 4' } };

/** A line of a bar that fits the meter. */
function lineIn(meter: string) {
  const [beats = '4', unit = '4'] = meter.split('/');
  return { content: { text: Array(Number(beats)).fill(unit).join(' ') } };
}

function over(...lanes: readonly (readonly [string, string])[]) {
  const made = lanes.map(([limb, voice]) => ({ limb, voice, slot: '8', grid: 'x-' }) as never);
  return [{ content: { name: 'lanes', meter: '4/4', swung: false, lanes: made } }];
}

describe('freePlayer', () => {
  it.each([
    ['nothing', [], 'LH snare'],
    ['a ride', [['RH', 'ride']], 'LH snare'],
    [
      'hi-hat and backbeat',
      [
        ['RH', 'hat'],
        ['LH', 'snare'],
      ],
      'RF bass',
    ],
    [
      'hands and bass drum on the ride',
      [
        ['RH', 'ride'],
        ['LH', 'snare'],
        ['RF', 'bass'],
      ],
      'LF hat-foot',
    ],
    [
      'a left side',
      [
        ['LH', 'snare'],
        ['LF', 'hat-foot'],
        ['RF', 'bass'],
      ],
      'RH snare',
    ],
    [
      'a whole groove on the hi-hat',
      [
        ['RH', 'hat'],
        ['LH', 'snare'],
        ['RF', 'bass'],
      ],
      'LH snare',
    ],
  ] as const)('over %s: %s', (_, lanes, player) => {
    const { limb, voice } = freePlayer({ over: over(...lanes) });
    expect(`${limb} ${voice}`).toBe(player);
  });
});

describe('withPlay', () => {
  it('gives a first line to a limb that is free, and leaves the groove whole', () => {
    const base = toggleOstinato(blankRecipe(), 'hand-to-hand-right');
    const exercise = must(expand(withPlay(base, line)));
    expect(exercise.shared).toEqual([]);
    const hands = exercise.strokes.filter(({ limb }) => limb === 'RH' || limb === 'LH');
    expect(hands).toHaveLength(16);
  });

  it('leaves who was chosen alone, and a line that is there already', () => {
    const hats = toggleOstinato(blankRecipe(), 'hand-to-hand-right');
    const chosen = { ...hats, as: startOf('short-long') };
    expect(withPlay(chosen, line).as).toEqual(chosen.as);
    const there = { ...hats, play: line };
    expect(withPlay(there, { content: { text: '4 4' } }).as).toEqual(there.as);
  });

  it.each(Object.keys(SHIPPED_OSTINATOS))(
    'over %s takes no limb that is busy, if one is free',
    (id) => {
      const base = toggleOstinato(blankRecipe(), id);
      const { limb } = freePlayer(base);
      const busy = new Set(
        base.over.flatMap(({ content }) => content.lanes.map((lane) => lane.limb)),
      );
      const hats = base.over.some(({ content }) =>
        content.lanes.some(({ voice }) => voice === 'hat'),
      );
      const free = (['LH', 'RF', 'RH', ...(hats ? [] : ['LF' as const])] as const).some(
        (one) => !busy.has(one),
      );
      expect(busy.has(limb)).toBe(!free);
    },
  );
});

describe('withFreeLimb', () => {
  it('a line whose limb nobody chose makes room for a groove that comes later', () => {
    const first = withPlay(blankRecipe(), line);
    expect(first.as).toEqual(startOf('verbatim'));
    const now = withFreeLimb(first, toggleOstinato(first, 'hand-to-hand-right'));
    expect(now.as).toMatchObject({ on: { limb: 'RF', voice: 'bass' } });
    const back = withFreeLimb(now, toggleOstinato(now, 'hand-to-hand-right'));
    expect(back.as).toEqual(startOf('verbatim'));
  });

  it('a sticking has its limbs itself', () => {
    const first = withPlay(blankRecipe(), { content: typedSticking('RLRR LRLL') });
    const now = withFreeLimb(first, toggleOstinato(first, 'hand-to-hand-right'));
    expect(now.as).toEqual(blankRecipe().as);
  });

  it('one that was chosen stays', () => {
    const chosen = { ...blankRecipe(), play: line, as: startOf('phrase-cells') };
    const now = withFreeLimb(chosen, toggleOstinato(chosen, 'hand-to-hand-right'));
    expect(now.as).toEqual(chosen.as);
  });
});

describe('readAs', () => {
  it('as written is for a limb that is free', () => {
    const base = { ...toggleOstinato(blankRecipe(), 'hand-to-hand-left'), play: line };
    expect(readAs(base, 'verbatim').as).toMatchObject({ on: { limb: 'RF' } });
  });

  // Common practice, no source: a teacher never gives the backbeat away, nor a clave.
  it.each([
    ['left-paradiddle', 'short-long', { short: { limb: 'RH' }, long: { limb: 'RF' } }],
    ['clave-3-2', 'short-long', { short: { limb: 'RH' }, long: { limb: 'RF' } }],
    [
      'samba-feet',
      'short-long',
      { short: { limb: 'LH' }, long: { limb: 'RH', voice: 'tom-floor' } },
    ],
    ['jazz-ride', 'short-long', { short: { limb: 'LH' }, long: { limb: 'RF' } }],
    ['rock-8ths', 'short-long', { short: { limb: 'RH' }, long: { limb: 'RF' } }],
    ['clave-3-2', 'left-triplets', { fill: { limb: 'RH' }, long: [{ limb: 'RF' }] }],
    ['left-paradiddle', 'hand-against-hand', { short: [{ limb: 'RH' }], fill: { limb: 'RF' } }],
    ['clave-3-2', 'rules', { rules: [{ plays: [{ limb: 'RH' }] }, { plays: [{ limb: 'RF' }] }] }],
    ['bossa-clave', 'verbatim', { on: { limb: 'RF' } }],
  ] as const)('over %s, %s takes what is free', (id, way, as) => {
    const base = { ...toggleOstinato(blankRecipe(), id), play: line };
    expect(readAs(base, way).as).toMatchObject(as);
  });
});

describe('anchors', () => {
  const WAYS = INTERPRETATION_STARTS.map(({ id }) => id).filter((id) => id !== 'phrase-cells');
  /** Where both hands are what the interpretation is about, or no limb is left. */
  const CANNOT = /^(accents-|line-doubled)/;

  it.each(Object.keys(SHIPPED_OSTINATOS))('of %s stay under a line, read in any way', (id) => {
    for (const way of WAYS.filter((one) => !CANNOT.test(one))) {
      const base = toggleOstinato(blankRecipe(), id);
      const read = readAs({ ...base, play: lineIn(base.meter) }, way);
      const made = must(expand(read));
      const isLost = made.lostAnchors.length > 0;
      expect(isLost && `${id} ${way}`).toBe(false);
    }
  });

  it('that were given away are said, with what keeps them', () => {
    const rock = toggleOstinato(blankRecipe(), 'rock-8ths');
    const taken = { ...rock, play: line, as: startOf('verbatim') };
    const { lostAnchors } = must(expand(taken));
    expect(lostAnchors.map(({ limb, voice }) => `${limb} ${voice}`)).toEqual(['LH snare']);
    const mends = anchorMends(taken, lostAnchors.length);
    expect(mends.map(({ kind }) => kind)).toEqual(['limb', 'merge']);
    expect(mends[0]?.recipe.as).toMatchObject({ on: { limb: 'RF', voice: 'bass' } });
    for (const { recipe } of mends) expect(must(expand(recipe)).lostAnchors).toEqual([]);
  });

  it('that rest because they were told to are none', () => {
    const rock = toggleOstinato(blankRecipe(), 'rock-8ths');
    for (const clash of ['groove', 'throughout'] as const) {
      const told = { ...rock, play: line, as: startOf('verbatim'), clash };
      expect(must(expand(told)).lostAnchors).toEqual([]);
    }
  });
});
