import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { familyOf, type Family } from '@/core/family';
import { blankRecipe, toggleOstinato } from '@/core/recipe';
import { bpm } from '@/core/time';
import type { FromFamilyWorker, ToFamilyWorker } from './family-messages';

const base = toggleOstinato(blankRecipe(), 'rock-8ths');

/** Snares, each on one more 16th of the bar. */
function snares(count: number): Family['axes'] {
  const values = Array.from({ length: count }, (_, slot) => ({
    content: {
      name: `snare ${slot}`,
      meter: '4/4',
      swung: false,
      lanes: [{ limb: 'LH', voice: 'snare', slot: '16', grid: gridOf(slot) } as const],
    },
  }));
  return [{ at: 'over', index: 1, values }];
}

/** One hit, or two where the bar has been gone through. */
function gridOf(nth: number): string {
  const hits = [nth % 16, (nth % 16) + Math.floor(nth / 16)];
  return Array.from({ length: 16 }, (_, slot) => (hits.includes(slot) ? 'x' : '-')).join('');
}

const family = (count: number): Pick<Family, 'base' | 'axes'> => ({
  base: familyOf(base).base,
  axes: snares(count),
});

let said: FromFamilyWorker[] = [];
let tell: (message: ToFamilyWorker) => void = () => undefined;

/** A worker of its own, as a page starts one. */
beforeEach(async () => {
  vi.useFakeTimers();
  vi.resetModules();
  said = [];
  const self = {
    postMessage: (message: FromFamilyWorker) => said.push(structuredClone(message)),
    onmessage: (_: MessageEvent<ToFamilyWorker>) => undefined as void,
  };
  vi.stubGlobal('self', self);
  await import('./family.worker');
  tell = (data) => self.onmessage({ data: structuredClone(data) } as MessageEvent<ToFamilyWorker>);
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

function parts() {
  return said.flatMap((one) => (one.kind === 'part' ? one : []));
}

describe('opening a family', () => {
  it('gives the first members at once, the others in stretches, and each once', () => {
    tell({ kind: 'open', job: 1, family: family(60), tempo: bpm(80) });
    expect(parts().map(({ done, size }) => [done, size])).toEqual([[40, 60]]);
    vi.runAllTimers();
    expect(parts().map(({ done }) => done)).toEqual([40, 60]);
    const indexes = parts().flatMap(({ played }) => played.map(({ index }) => index));
    expect(indexes).toEqual([...new Set(indexes)]);
    const apart = parts().flatMap(({ impossible }) => impossible);
    expect(indexes.length + apart.length).toBe(60);
  });

  it('leaves a family for a newer one', () => {
    tell({ kind: 'open', job: 1, family: family(60), tempo: bpm(80) });
    tell({ kind: 'open', job: 2, family: family(3), tempo: bpm(80) });
    vi.runAllTimers();
    expect(parts().map(({ job, done }) => [job, done])).toEqual([
      [1, 40],
      [2, 3],
    ]);
  });

  it('says what is wrong, and takes the next one', () => {
    const { axes } = family(48);
    const wide = [0, 1, 2].flatMap((index) =>
      axes.map((axis) => ({ ...axis, index }) as (typeof axes)[0]),
    );
    tell({ kind: 'open', job: 1, family: { base: family(1).base, axes: wide }, tempo: bpm(80) });
    expect(said).toMatchObject([
      { kind: 'refused', job: 1, issues: [{ code: 'family-too-large' }] },
    ]);
    tell({ kind: 'open', job: 2, family: family(2), tempo: bpm(80) });
    expect(parts()).toMatchObject([{ job: 2, done: 2, size: 2 }]);
  });
});

describe('what is asked of an open family', () => {
  const all = [0, 1, 2, 3, 4];
  beforeEach(() => tell({ kind: 'open', job: 1, family: family(5), tempo: bpm(80) }));

  it('is answered by its number', () => {
    tell({ kind: 'order', ask: 7, members: all, first: [], last: [], own: null });
    tell({ kind: 'order', ask: 8, members: [], first: [], last: [], own: null });
    expect(said.slice(-2)).toMatchObject([
      { kind: 'ordered', ask: 7 },
      { kind: 'ordered', ask: 8, order: [] },
    ]);
  });

  it('an order has every member once, pinned ones at their ends', () => {
    tell({ kind: 'order', ask: 1, members: all, first: [3], last: [0], own: null });
    const last = said.at(-1);
    const order = last?.kind === 'ordered' ? last.order : [];
    expect([...order].sort()).toEqual(all);
    expect([order[0], order.at(-1)]).toEqual([3, 0]);
  });

  it('an order of the teacher’s own is kept', () => {
    tell({ kind: 'order', ask: 1, members: all, first: [], last: [], own: [4, 2, 0, 3, 1] });
    expect(said.at(-1)).toEqual({ kind: 'ordered', ask: 1, order: [4, 2, 0, 3, 1] });
  });

  it('a cover has so many as are asked for, and the same ones each time', () => {
    const ask = { kind: 'cover', members: all, of: 'values', count: 3 } as const;
    tell({ ...ask, ask: 1 });
    tell({ ...ask, ask: 2 });
    const chosen = said.slice(-2).map((one) => (one.kind === 'covered' ? one.chosen : null));
    expect(chosen[0]).toHaveLength(3);
    expect(chosen[0]).toEqual(chosen[1]);
  });

  it('members that it does not have are left out', () => {
    tell({ kind: 'order', ask: 1, members: [1, 99], first: [99], last: [], own: null });
    expect(said.at(-1)).toEqual({ kind: 'ordered', ask: 1, order: [1] });
  });
});
