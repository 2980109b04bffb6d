import { describe, expect, it } from 'vitest';
import type { Issue } from '@/core/issue';
import { ENGLISH, sayIn, sayIssue, sayIssues, sayIssuesIn } from '.';

const path = ['here'];
const at = { bar: 2, at: 10080, meter: '4/4' };
const dates = { from: '2026-03-01', to: '2026-03-04' };
const misfits = [{ at: 'name', problem: 'long' as const }];

type Told<Code> = Omit<Extract<Issue, { code: Code }>, 'code' | 'path'>;

/** One issue of every code there is. */
const ISSUES: { readonly [Code in Issue['code']]: Told<Code> } = {
  'body-large': { most: 28 },
  'host-unknown': { host: 'drums.lan' },
  storage: { trouble: 'damaged', file: '/data/mivvel.sqlite', backup: '/data/backups/one.sqlite' },
  'file-nodes': { most: 1_000_000 },
  'file-large': { most: 20 },
  'file-heavy': { what: 'seconds', most: 20 },
  'file-unreadable': { line: 3 },
  'file-other': {},
  'file-encoding': { encoding: 'ebcdic' },
  'file-packed': {},
  'file-entities': {},
  'file-deep': {},
  'file-midi': { track: 2 },
  'file-frames': {},
  'file-silent': {},
  'csv-quotes': { line: 3 },
  'csv-columns': { missing: ['name'], found: ['a', 'b'] },
  'csv-rows': { most: 20_000 },
  'csv-form': { line: 3, column: 'date', text: '12.3.', like: '2026-03-12' },
  'csv-cell': { line: 3, column: 'handedness', text: 'both', may: ['right', 'mirrored'] },
  address: { text: 'studio' },
  'backup-damaged': {},
  'backup-newer': {},
  'backup-locked': {},
  'file-long': { bars: 2000, notes: 50_000 },
  'bundle-newer': { version: 2, known: 1 },
  'bundle-large': { most: 20 },
  'bundle-part': { part: 'exercises', name: 'Clave', misfits: [{ at: 'name', problem: 'long' }] },
  'nobody-has-it': { name: 'Clave' },
  'after-circle': { names: ['Clave', 'Cells'] },
  'after-missing': { name: 'Clave' },
  'already-given': { program: 'Feet', student: 'Deniz' },
  'axis-empty': { axis: { at: 'over', nth: 2 } },
  'bar-length': { bar: 1, meter: '4/4', gotTicks: 70560, wantedTicks: 80640, rest: '8r' },
  bars: { text: 'x' },
  'cell-length': { gap: 3, sticking: 'RL' },
  'count-bar': { bar: 5, bars: 2 },
  'count-bars': { got: 1, wanted: 2 },
  'count-token': { token: 'x', beats: 4 },
  'cycle-too-long': { bars: 80, most: 64 },
  'day-ahead': { day: '2026-03-01' },
  'day-past': { day: '2026-03-01' },
  dosage: { text: 'x', most: 120 },
  'ending-length': { bars: 1, ending: '', wanted: 3 },
  'entry-shape': { misfits },
  'family-empty': {},
  'family-too-large': {
    size: 120000,
    most: 100000,
    axis: { at: 'change', nth: null },
    values: 400,
  },
  feel: { text: 'x' },
  'gap-off-grid': { ...at, slot: 2 },
  'gap-without-cell': { ...at, slot: 2, gap: 20, proposals: ['RLLK', 'RLRL'] },
  'grid-token': { token: 'q', at: 0 },
  grouping: { text: '2+2', count: 5 },
  'ingredient-missing': { id: 'samba', version: 2 },
  'input-shape': { misfits: [] },
  'item-twice': {},
  'ladder-empty': {},
  'ladder-long': { rungs: 4001, most: 200 },
  'ladder-number': { text: 'x', least: 1, most: 64 },
  'ladder-step-away': { start: 60, target: 80, step: -5 },
  'ladder-step-zero': {},
  limb: { text: 'XX' },
  'limb-claimed': { limbs: ['RH', 'LF'], by: 'verbatim', over: ['Jazz ride'] },
  'line-empty': {},
  'line-letters': { letter: null, got: 1, wanted: 2 },
  'line-tie': { bar: 1, token: '4~', at: 0 },
  'line-token': { bar: 1, token: 'q', at: 0 },
  'line-tuplet': { bar: 1, token: '3(8', at: 0 },
  'link-altered': {},
  'loop-part': { text: '9.1', bars: 2 },
  'member-feel': { name: 'Cells', feel: 'straight', wanted: 'swung 2:1' },
  'member-meter': { name: 'Cells', meter: '3/4', wanted: '4/4' },
  'members-too-many': { count: 80, most: 64 },
  meter: { text: 'x' },
  email: { text: 'ada' },
  'teaches-here': { email: 'ada@example.com' },
  'sign-in-wrong': {},
  'code-wrong': { days: 3 },
  'pin-wrong': {},
  'setup-code': {},
  'link-over': {},
  'too-many-tries': { minutes: 4 },
  'password-length': { least: 10, most: 128 },
  'password-common': {},
  'last-teacher': { student: 'Ines' },
  'name-differs': { name: 'Ines' },
  'name-missing': { what: 'program' },
  'not-asked': {},
  'not-found': { what: 'program' },
  'not-yours': { what: 'session' },
  'note-empty': {},
  'nothing-to-play': {},
  'off-order': { from: '2026-03-02', to: '2026-03-01' },
  'off-overlap': { one: dates, other: { from: dates.to, to: dates.to } },
  'onset-off-grid': { ...at, grid: '16' },
  'only-rests': { what: 'line' },
  'part-empty': {},
  'part-who': { text: 'gong' },
  'program-changed': {},
  'program-empty': { name: 'Feet' },
  'quiet-empty': { at: '20:00' },
  'recipe-newer': { version: 3, known: 1 },
  'recipe-shape': { misfits },
  rule: { what: 'clean', text: '0' },
  'rule-none': { ...at, length: 2, gap: 1, onBeat: false },
  'rule-range': { row: 1, from: 4, to: 2 },
  'rules-contradict': { first: 1, second: 2 },
  'sequence-too-long': { bars: 300, most: 256 },
  'sticking-bar': { bar: 2, grid: '16', got: 15, wanted: 16 },
  'sticking-token': { token: 'q', at: 0 },
  subdivision: { text: 'x' },
  'target-past': { target: '2026-03-01', today: '2026-03-02' },
  tempo: { text: '500', least: 20, most: 400 },
  tick: { text: 'x', day: '2026-03-02' },
  voice: { text: 'gong', near: null },
  'week-empty': {},
};

const ALL = Object.entries(ISSUES).map(([code, facts]) => ({ code, path, ...facts }) as Issue);

describe('sayIssue', () => {
  it.each(ALL.map((issue) => [issue.code, issue] as const))(
    '%s says what is wrong and how to mend it, in two sentences or more',
    (_, issue) => {
      const text = sayIssue(ENGLISH, issue);
      expect(sayIssue(sayIssuesIn('en-GB'), issue)).toBe(text);
      expect(text.split(/[.?;:] ?/).filter(Boolean).length).toBeGreaterThanOrEqual(2);
      expect(text).toMatch(/^[“A-Z0-9].*[.?]$/);
      expect(text).not.toMatch(/undefined|[{}]/);
    },
  );

  it.each([
    [
      { code: 'bar-length', path, ...ISSUES['bar-length'], bar: 3 },
      'Bar 3 holds 7 8ths, an 8th short of a bar of 4/4. Add notes or rests, such as 8r, or take the bar lines out: a line of any length goes round.',
    ],
    [
      { code: 'line-letters', path, letter: 'Q', got: 1, wanted: 2 },
      '“Q” is no voice. Use the letters of the lanes, such as S, K, H, T1.',
    ],
    [
      { code: 'voice', path, text: 'snar', near: 'snare' },
      'There is no voice “snar”. Did you mean snare?',
    ],
    [
      { code: 'gap-without-cell', path, ...ISSUES['gap-without-cell'] },
      'Bar 2, slot 2 (& of 1): the next note is 20 16ths away and no cell has that length. Take RLLK, RLRL, or shorten the gap.',
    ],
    [
      { code: 'rule-none', path, ...ISSUES['rule-none'] },
      'Bar 2, & of 1: no rule fits this note (2 16ths long, a 16th to the next, off the beat). Add a rule for it, or widen one.',
    ],
    [
      { code: 'after-circle', path, names: ['Clave', 'Cells', 'Feet'] },
      'Clave waits for Cells, Cells waits for Feet and Feet waits for Clave: none could ever begin. Let one of them wait for nothing.',
    ],
    [
      { code: 'family-too-large', path, ...ISSUES['family-too-large'] },
      'That makes 120,000 variations; 100,000 is the most. Narrow “changed by”: it has 400 values.',
    ],
    [
      { code: 'recipe-shape', path, misfits: [{ at: '', problem: 'kind' }] },
      'This exercise cannot be read: the whole: not of the right kind. Ask whoever sent it for the link again.',
    ],
  ] satisfies readonly (readonly [Issue, string])[])('%j', (issue, text) => {
    expect(sayIssue(ENGLISH, issue)).toBe(text);
  });

  it('a studio’s own note names and counts are in it', () => {
    const british = sayIn('en-GB', { notes: 'british', syllables: 'german' });
    expect(sayIssue(british, { code: 'bar-length', path, ...ISSUES['bar-length'] })).toContain(
      'holds 7 quavers, a quaver short',
    );
    expect(
      sayIssue(british, { code: 'onset-off-grid', path, ...ISSUES['onset-off-grid'] }),
    ).toContain('between the semiquavers');
    expect(sayIssue(british, { code: 'gap-off-grid', path, ...ISSUES['gap-off-grid'] })).toContain(
      'Bar 2, und',
    );
  });

  it('several come one after the other', () => {
    const issues: readonly Issue[] = [
      { code: 'line-empty', path },
      { code: 'week-empty', path },
    ];
    expect(sayIssues(ENGLISH, issues).match(/\. [A-Z]/g)).toHaveLength(3);
  });
});
