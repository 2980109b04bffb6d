import { describe, expect, it } from 'vitest';
import { fail, issueText, must, type Issue } from '.';

const path = ['here'];
const ISSUES: readonly Issue[] = [
  { code: 'recipe-newer', path, version: 3, known: 1 },
  { code: 'link-altered', path },
  { code: 'ingredient-missing', path, id: 'samba', version: 2 },
  { code: 'tempo', path, text: '500', least: 20, most: 400 },
  { code: 'voice', path, text: 'gong', near: null },
  { code: 'gap-without-cell', path, bar: 1, slot: 0, count: '1', gap: 20, proposals: [] },
  { code: 'cycle-too-long', path, bars: 80, most: 64 },
  { code: 'nothing-to-play', path },
  { code: 'ladder-number', path, text: 'x', least: 1, most: 64 },
  { code: 'ladder-empty', path },
  { code: 'ladder-long', path, rungs: 4001, most: 200 },
  { code: 'item-twice', path },
  { code: 'after-missing', path, name: 'Clave' },
  { code: 'after-circle', path, names: ['Clave', 'Cells'] },
  { code: 'program-changed', path },
  { code: 'not-asked', path },
  { code: 'note-empty', path },
  { code: 'tick', path, text: 'x', day: 'Mon' },
  { code: 'day-ahead', path, day: '2026-03-01' },
  { code: 'day-past', path, day: '2026-03-01' },
  { code: 'week-empty', path },
  { code: 'off-order', path, from: '2026-03-02', to: '2026-03-01' },
  {
    code: 'off-overlap',
    path,
    one: { from: '2026-03-01', to: '2026-03-04' },
    other: { from: '2026-03-04', to: '2026-03-04' },
  },
  { code: 'target-past', path, target: '2026-03-01', today: '2026-03-02' },
  { code: 'quiet-empty', path, at: '20:00' },
];

describe('issueText', () => {
  it.each(ISSUES.map((issue) => [issue.code, issue] as const))(
    '%s says what is wrong and how to mend it, in two sentences or more',
    (_, issue) => {
      const text = issueText(issue);
      expect(text.split(/[.?;] ?/).filter(Boolean).length).toBeGreaterThanOrEqual(2);
      expect(text).not.toContain('undefined');
    },
  );
});

describe('must', () => {
  it('throws on a failure, which would be a bug', () => {
    expect(() => must(fail({ code: 'link-altered', path }))).toThrow(/link-altered/);
  });
});
