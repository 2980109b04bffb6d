import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { fail, misfitsOf, must } from '.';

describe('must', () => {
  it('throws on a failure, which would be a bug', () => {
    expect(() => must(fail({ code: 'link-altered', path: [] }))).toThrow(/link-altered/);
  });
});

describe('misfitsOf', () => {
  it('says where and what kind of problem, never the schema’s own words', () => {
    const shape = z.strictObject({
      name: z.string().max(3),
      day: z.iso.date(),
      kind: z.enum(['a', 'b']),
      count: z.int().min(1),
    });
    const read = shape.safeParse({ name: 'long', day: 'x', kind: 'c', count: 0, more: 1 });
    expect(read.success ? [] : misfitsOf(read.error.issues)).toEqual([
      { at: 'name', problem: 'long' },
      { at: 'day', problem: 'format' },
      { at: 'kind', problem: 'choice' },
      { at: 'count', problem: 'short' },
      { at: '', problem: 'unknown' },
    ]);
  });
});
