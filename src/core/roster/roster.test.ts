import { describe, expect, it } from 'vitest';
import { startLadder, USUAL_COURSE, type LadderState } from '../ladder';
import { ENGLISH, sayNeed } from '@/words';
import type { ItemId } from '../id';
import { quarters } from '../time';
import {
  hearFirst,
  minutesByDay,
  needsOf,
  sufferedByLimb,
  verdictMix,
  type BreakPlace,
  type ItemStanding,
} from '.';

const start = startLadder({ course: USUAL_COURSE });
const TODAY = '2026-03-10';

const BREAKS: BreakPlace = {
  place: { meter: '4/4', bar: null, from: quarters(2), to: quarters(5, 2) },
  from: ['RF'],
  to: ['LF'],
};

function standing(name: string, state: Partial<LadderState> = {}, verdicts = ''): ItemStanding {
  const names = { C: 'clean', S: 'shaky', L: 'lost' } as const;
  return {
    item: name as ItemId,
    name,
    state: { ...start, ...state },
    verdicts: [...verdicts].map((letter) => names[letter as 'C']),
    breaksAt: name === 'Clave' ? BREAKS : null,
  };
}

const plateau = {
  proposal: {
    kind: 'plateau',
    variation: { kind: 'half', half: 'first' },
    because: { code: 'no-gain', days: 4, fact: { code: 'lost-count', times: 2 } },
    basis: [],
  },
  stuckDays: 6,
  askedDays: 4,
} as const;

describe('needsOf', () => {
  it('puts stuck before losing before asking before away, and says on what', () => {
    const asks = {
      kind: 'advance',
      to: { kind: 'tempo', bpm: 65 },
      because: { code: 'clean', times: 3, without: false },
      basis: [],
    } as const;
    const needs = needsOf(
      [
        standing('Feet', { proposal: asks }),
        standing('Ride', {}, 'CSSLCSL'),
        standing('Clave', plateau),
      ],
      TODAY,
      '2026-03-01',
    );
    expect(needs.map((need) => need.kind)).toEqual(['stuck', 'losing', 'asks', 'away']);
    const says = needs.map((need) => sayNeed(ENGLISH, need));
    expect(says[0]).toBe(
      'Clave: stuck at 60 for 6 days of practice; play the first half. It breaks at 3 → & of 3, right foot → left foot.',
    );
    expect(says[1]).toBe('Ride: 5 of the last 6 tries not clean at 60.');
    expect(says[2]).toBe('Feet: 3 clean: go on to 65.');
    expect(says[3]).toBe('No practice for 9 days.');
  });

  it('what goes well needs nobody', () => {
    expect(needsOf([standing('Ride', {}, 'CCCSCC')], TODAY, TODAY)).toEqual([]);
    expect(needsOf([standing('Ride')], TODAY, null)).toEqual([]);
  });

  it('nothing given, or all passed, is said too', () => {
    expect(needsOf([], TODAY, null)[0]).toMatchObject({ code: 'no-program' });
    expect(needsOf([standing('Ride', { passed: true })], TODAY, TODAY)[0]).toMatchObject({
      code: 'all-passed',
    });
  });
});

describe('hearFirst', () => {
  it('what needs it, then what was worked on last', () => {
    const items = [
      { id: 'old', lastAt: 1 },
      { id: 'Clave', lastAt: 0 },
      { id: 'new', lastAt: 9 },
    ];
    const needs = needsOf([standing('Clave', plateau)], TODAY, TODAY);
    expect(hearFirst(items, needs).map((one) => one.id)).toEqual(['Clave', 'new', 'old']);
  });
});

describe('tallies', () => {
  const done = [
    { day: '2026-03-01', seconds: 60 },
    { day: '2026-03-09', seconds: 90 },
    { day: '2026-03-09', seconds: 30 },
  ];
  const items = [
    {
      mix: { clean: 1, shaky: 0, lost: 1, open: 2 },
      suffered: new Map([['flam' as const, { times: 1, limbs: { LF: 1 } }]]),
    },
    {
      mix: { clean: 0, shaky: 1, lost: 0, open: 1 },
      suffered: new Map([
        ['flam' as const, { times: 2, limbs: { LF: 1 } }],
        ['tense' as const, { times: 1, limbs: {} }],
      ]),
    },
  ];

  it('count minutes by day, days without practice too', () => {
    expect(minutesByDay(done, TODAY, 3)).toEqual([
      { day: '2026-03-08', minutes: 0 },
      { day: '2026-03-09', minutes: 2 },
      { day: '2026-03-10', minutes: 0 },
    ]);
  });

  it('count verdicts, and what suffered by limb', () => {
    expect(verdictMix(items)).toEqual({ clean: 1, shaky: 1, lost: 1, open: 3 });
    expect(sufferedByLimb(items)).toEqual([
      { what: 'flam', times: 3, limbs: { LF: 2 } },
      { what: 'tense', times: 1, limbs: {} },
    ]);
  });
});
