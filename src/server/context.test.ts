import { describe, expect, it } from 'vitest';
import { newId } from './context';

describe('newId', () => {
  it('keeps the order of what is made within one millisecond', () => {
    const now = () => 1_790_000_000_000;
    const ids = Array.from({ length: 200 }, () => newId({ now }));
    expect([...ids].sort()).toEqual(ids);
  });
});
