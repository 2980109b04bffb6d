import { describe, expect, it } from 'vitest';
import { restThroughout } from './rest-throughout';

describe('restThroughout', () => {
  it.each([
    [
      { clash: 'rest', meter: '4/4' },
      { clash: 'throughout', meter: '4/4' },
    ],
    [{ clash: 'merge' }, { clash: 'merge' }],
    [{ clash: 'refuse' }, { clash: 'refuse' }],
  ])('%j becomes %j', (before, after) => {
    expect(restThroughout(before)).toEqual(after);
  });
});
