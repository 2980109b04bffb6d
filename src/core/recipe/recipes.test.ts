import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { expand } from '.';
import { RECIPES } from './recipes.fixture';

describe('recipes drawn at random', () => {
  it('can mostly be played, and among them are ornaments, sequences, clashes and changes', () => {
    const all = fc.sample(RECIPES, { numRuns: samples(1000), seed: 20160 });
    const made = all.map((recipe) => expand(recipe));
    const playable = made.flatMap((one) => (one.ok ? [one.value] : []));
    const share = (count: number) => count / all.length;
    expect(share(playable.length)).toBeGreaterThan(0.8);
    const ornamented = playable.filter((one) => one.strokes.some(({ ornament }) => ornament));
    expect(share(ornamented.length)).toBeGreaterThan(0.15);
    const kinds = new Set(ornamented.flatMap((one) => one.strokes.map(({ ornament }) => ornament)));
    for (const kind of ['flam', 'drag', 'ruff', 'diddle', 'roll', 'buzz']) {
      expect(kinds).toContain(kind);
    }
    const sequences = all.filter((one, index) => one.then && made[index]?.ok);
    expect(share(sequences.length)).toBeGreaterThan(0.05);
    expect(share(all.filter(({ changes }) => changes.length > 0).length)).toBeGreaterThan(0.5);
  });
});
