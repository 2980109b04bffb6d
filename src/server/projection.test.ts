import { afterEach, describe, expect, it, vi } from 'vitest';
import { sharedProjection } from './projection';

afterEach(() => vi.unstubAllEnvs());

describe('what was worked out', () => {
  const file = {};

  it('is kept as long as what it comes from stays the same', () => {
    const kept = sharedProjection<readonly number[], number>('sums', 10);
    const make = vi.fn(() => 3);
    expect(kept.get(file, 'a', [1, 2], make)).toBe(3);
    expect(kept.get(file, 'a', [1, 2], make)).toBe(3);
    expect(make).toHaveBeenCalledTimes(1);
    kept.get(file, 'a', [1, 3], make);
    kept.get({}, 'a', [1, 3], make);
    expect(make).toHaveBeenCalledTimes(3);
    kept.drop(file, 'a');
    expect(kept.peek(file, 'a')).toBeUndefined();
  });

  it('is worked out anew once there is too much of it', () => {
    const kept = sharedProjection<null, string>('few', 2);
    for (const name of ['a', 'b', 'b']) kept.get(file, name, null, () => name);
    expect(kept.peek(file, 'a')).toBe('a');
    kept.get(file, 'c', null, () => 'c');
    expect([kept.peek(file, 'a'), kept.peek(file, 'c')]).toEqual([undefined, 'c']);
  });

  it('belongs in the built app to the process, whichever modules ask for it', async () => {
    const key = 'one for all';
    expect(sharedProjection(key, 1)).not.toBe(sharedProjection(key, 1));
    vi.stubEnv('NODE_ENV', 'production');
    const mine = sharedProjection(key, 1);
    vi.resetModules();
    const again = await import('./projection');
    expect(again.sharedProjection(key, 1)).toBe(mine);
  });
});
