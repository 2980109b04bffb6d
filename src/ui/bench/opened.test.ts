import { describe, expect, it } from 'vitest';
import type { ExerciseId } from '@/core/studio';
import { readOpened, withOpened } from './opened';

const id = (text: string) => text as ExerciseId;

describe('what was opened', () => {
  it('the last one first, each once, a dozen of them', () => {
    const all = 'abcdefghijklmnop'
      .split('')
      .reduce<readonly string[]>((opened, one) => withOpened(opened, id(one)), []);
    expect(all).toEqual('ponmlkjihgfe'.split(''));
    expect(withOpened(all, id('m')).slice(0, 3)).toEqual(['m', 'p', 'o']);
    expect(withOpened(all, id('m'))).toHaveLength(12);
  });

  it('what is no list is none', () => {
    for (const kept of [null, '', 'x', '{}', '3']) expect(readOpened(kept)).toEqual([]);
    expect(readOpened('["a", 3, "b"]')).toEqual(['a', 'b']);
  });
});
