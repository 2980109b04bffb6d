import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { PersonId, SessionId } from '@/core/studio';
import {
  clickFor,
  endRound,
  keepRound,
  keepSetUp,
  readRound,
  readSetUp,
  USUAL_SET_UP,
  withClick,
  type SetUp,
} from './kept';

const PERSON = 'p' as PersonId;
const ROUND = {
  slots: [{ key: 'a one', kind: 'new', on: 'kit', cutTo: null }],
  place: 0,
  sinceBreak: 32,
  judging: [],
  day: '2026-03-02',
  session: 's' as SessionId,
} as const;

describe('what a browser keeps of the Stand', () => {
  let kept: Map<string, string>;
  beforeEach(() => {
    kept = new Map();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
      removeItem: (key: string) => kept.delete(key),
    });
    return () => vi.unstubAllGlobals();
  });

  it('a round of today comes back, one of yesterday or of somebody else does not', () => {
    keepRound(PERSON, ROUND);
    expect(readRound(PERSON, '2026-03-02')).toEqual(ROUND);
    expect(readRound(PERSON, '2026-03-03')).toBeNull();
    expect(readRound('q' as PersonId, '2026-03-02')).toBeNull();
    endRound(PERSON);
    expect(readRound(PERSON, '2026-03-02')).toBeNull();
  });

  it('a set-up comes back, what it cannot know any more as usual', () => {
    expect(readSetUp()).toEqual(USUAL_SET_UP);
    const mine = {
      ...USUAL_SET_UP,
      click: 'pulse',
      sound: 'wood',
      hear: ['LF'],
      metres: 2,
    } as const;
    keepSetUp(mine);
    expect(readSetUp()).toEqual(mine);
    kept.set('mivvel stand', JSON.stringify({ click: 'bells', sound: 7, metres: 90, hear: ['X'] }));
    expect(readSetUp()).toEqual(USUAL_SET_UP);
    kept.set('mivvel stand', '{');
    expect(readSetUp()).toEqual(USUAL_SET_UP);
  });

  it('a click is kept for all, for an exercise, or for a rung of it, the narrowest first', () => {
    const usual = { click: 'beats', sound: 'beep', parts: 1, accents: true, bars: '' } as const;
    const triplets = { ...usual, parts: 3 } as const;
    const gaps = { ...usual, bars: 'xx--' };
    const of = { item: 'a one', rung: 'tempo:60' };
    const on = (setUp: SetUp, rung = of.rung) => clickFor(setUp, of.item, rung);
    const one = { ...USUAL_SET_UP, ...withClick(USUAL_SET_UP, { scope: 'exercise', ...of }, gaps) };
    const two = { ...one, ...withClick(one, { scope: 'rung', ...of }, triplets) };
    expect(on(two)).toEqual({ scope: 'rung', click: triplets });
    expect(on(two, 'tempo:65')).toEqual({ scope: 'exercise', click: gaps });
    expect(clickFor(two, 'a two', 'tempo:60')).toEqual({ scope: 'all', click: usual });
    keepSetUp(two);
    expect(readSetUp()).toEqual(two);
    const all = { ...two, ...withClick(two, { scope: 'all', ...of }, triplets) };
    expect(all.own).toEqual({});
    expect(on(all)).toEqual({ scope: 'all', click: triplets });
    kept.set('mivvel stand', JSON.stringify({ click: 'drops out' }));
    expect(readSetUp()).toMatchObject({ click: 'beats', bars: 'xx--' });
  });

  it('a browser without storage stands as usual', () => {
    vi.stubGlobal('localStorage', undefined);
    keepSetUp(USUAL_SET_UP);
    keepRound(PERSON, ROUND);
    expect(readSetUp()).toEqual(USUAL_SET_UP);
    expect(readRound(PERSON, ROUND.day)).toBeNull();
  });
});
