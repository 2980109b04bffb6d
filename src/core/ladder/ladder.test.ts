import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { issueText, must } from '../issue';
import { blankRecipe, expand } from '../recipe';
import { bpm, tempoFor, ticksToSeconds } from '../time';
import {
  dosageBars,
  leastMinutes,
  makeDosage,
  makeLadder,
  makeRule,
  plateauOf,
  reasonText,
  replay,
  rungsOf,
  sayDosage,
  USUAL_RULE,
  type Try,
  type Verdict,
} from '.';

const sixtyToHundred = must(makeLadder({ start: 60, target: 100, step: 5 }));

/** Tries at whatever tempo the ladder asks for, `C C S L`. */
function log(verdicts: string, ladder = sixtyToHundred, rule = USUAL_RULE): Try[] {
  const names: Readonly<Record<string, Verdict>> = { C: 'clean', S: 'shaky', L: 'lost' };
  const tries: Try[] = [];
  for (const letter of verdicts.replaceAll(' ', '')) {
    const { bpm: tempo } = replay(ladder, rule, tries);
    tries.push({ id: String(tries.length), bpm: tempo, verdict: names[letter] ?? 'clean' });
  }
  return tries;
}

function play(verdicts: string) {
  return replay(sixtyToHundred, USUAL_RULE, log(verdicts));
}

describe('rungsOf', () => {
  it.each([
    [60, 100, 5, [60, 65, 70, 75, 80, 85, 90, 95, 100]],
    [60, 72, 5, [60, 65, 70, 72]],
    [100, 80, -10, [100, 90, 80]],
    [70, 70, 5, [70]],
  ])('%i → %i by %i', (start, target, step, expected) => {
    expect(rungsOf(must(makeLadder({ start, target, step })))).toEqual(expected);
  });

  it('always ends at the target, without a step too wide', () => {
    const tempo = fc.integer({ min: 20, max: 400 });
    fc.assert(
      fc.property(tempo, tempo, fc.integer({ min: 1, max: 60 }), (start, target, width) => {
        const step = target >= start ? width : -width;
        const rungs = rungsOf(must(makeLadder({ start, target, step })));
        expect(rungs[0]).toBe(start);
        expect(rungs.at(-1)).toBe(target);
        for (let i = 1; i < rungs.length; i += 1) {
          const move = ((rungs[i] ?? 0) - (rungs[i - 1] ?? 0)) * Math.sign(step);
          expect(move > 0 && move <= width).toBe(true);
        }
      }),
    );
  });
});

describe('makeLadder', () => {
  it.each([
    [{ start: '60', target: '100', step: '0' }, ['ladder-step-zero']],
    [{ start: '60', target: '100', step: '-5' }, ['ladder-step-away']],
    [{ start: '10', target: '500', step: '5' }, ['tempo', 'tempo']],
    [{ start: '', target: '100', step: 'x' }, ['tempo', 'ladder-step-zero']],
  ])('refuses %j', (typed, codes) => {
    const made = makeLadder(typed);
    expect(made.ok ? [] : made.issues.map((issue) => issue.code)).toEqual(codes);
  });

  it('says how to mend a step that leads away', () => {
    const made = makeLadder({ start: 60, target: 100, step: -5 });
    expect(made.ok ? '' : made.issues.map(issueText).join()).toBe(
      'A step of −5 leads away from 100 when starting at 60. Set it to +5, or swap start and target.',
    );
  });
});

describe('replay: verdict arithmetic (common practice, no source)', () => {
  it('with 3 clean: C C S C C C goes up once', () => {
    expect(play('C C S C C C')).toMatchObject({
      rung: 1,
      bpm: 65,
      clean: 0,
      reason: { kind: 'raised', from: 60 },
    });
    expect(play('C C S C C')).toMatchObject({ rung: 0, clean: 2 });
  });

  it('C L L goes down once', () => {
    expect(play('CCC C L L')).toMatchObject({
      rung: 0,
      bpm: 60,
      reason: { kind: 'lowered', from: 65 },
    });
    expect(play('CCC C L S L')).toMatchObject({ rung: 1, lostInARow: 1 });
  });

  it('at the lowest rung two lost propose to simplify, and the rung holds', () => {
    const state = play('C L L');
    expect(state).toMatchObject({ rung: 0, reason: { kind: 'simplify' } });
    expect(reasonText(state, USUAL_RULE)).toContain('make it simpler');
  });

  it('passes at the target, and may fall from there', () => {
    const all = 'CCC'.repeat(9);
    expect(play(all)).toMatchObject({ rung: 8, bpm: 100, passed: true });
    expect(play(`${all}LL`)).toMatchObject({ rung: 7, passed: false });
  });

  it('a try at another tempo moves nothing', () => {
    const off: Try[] = [{ id: 'a', bpm: 90, verdict: 'clean' }];
    expect(replay(sixtyToHundred, { clean: 1, lost: 1 }, off)).toMatchObject({ rung: 0, clean: 0 });
  });

  it('says why', () => {
    const says = (verdicts: string) => reasonText(play(verdicts), USUAL_RULE);
    expect(says('')).toBe('Start of the ladder: 3 clean to go on.');
    expect(says('CC')).toBe('2 of 3 clean at 60.');
    expect(says('CCC')).toBe('3 clean at 60: now 65.');
    expect(says('CCCLL')).toBe('2 lost in a row at 65: back to 60.');
    expect(says('CS')).toBe('Last try shaky: 60 again, 3 clean to go on.');
  });

  it('an entry that comes twice counts once; every prefix replays alike', () => {
    const verdicts = fc.array(fc.constantFrom('C', 'S', 'L'), { maxLength: 40 });
    fc.assert(
      fc.property(verdicts, (letters) => {
        const tries = log(letters.join(''));
        const doubled = tries.flatMap((one) => [one, one]);
        const state = replay(sixtyToHundred, USUAL_RULE, tries);
        expect(replay(sixtyToHundred, USUAL_RULE, doubled)).toEqual(state);
        expect(state.rung >= 0 && state.rung < 9).toBe(true);
      }),
    );
  });
});

describe('dosage', () => {
  const exercise = must(expand({ ...blankRecipe(), play: { content: { text: '4 4 4 4 | 2 2' } } }));
  const tempo = tempoFor(exercise.meter, bpm(62));

  it('of minutes ends at the next cycle seam', () => {
    const bars = dosageBars({ kind: 'minutes', amount: 1 }, exercise, tempo);
    expect(bars).toBe(16);
    const seconds = ticksToSeconds(bars * exercise.barTicks, tempo);
    expect(seconds).toBeGreaterThanOrEqual(60);
    expect(bars % exercise.bars).toBe(0);
  });

  it('of repetitions counts cycles, of bars counts bars', () => {
    expect(dosageBars({ kind: 'repetitions', amount: 4 }, exercise, tempo)).toBe(8);
    expect(dosageBars({ kind: 'bars', amount: 5 }, exercise, tempo)).toBe(5);
  });

  it('a whole minute that fits exactly takes no bar more', () => {
    const even = tempoFor(exercise.meter, bpm(120));
    expect(dosageBars({ kind: 'minutes', amount: 5 }, exercise, even)).toBe(150);
  });

  it.each(['0', '', '-1', '200', 'five', '0.25'])('refuses “%s” minutes', (typed) => {
    expect(makeDosage('minutes', typed)).toMatchObject({ ok: false, issues: [{ code: 'dosage' }] });
  });

  it('is said in words', () => {
    expect(sayDosage(must(makeDosage('repetitions', '1')))).toBe('1 repetition');
    expect(sayDosage(must(makeDosage('minutes', '2.5')))).toBe('2.5 minutes');
    expect(makeDosage('bars', '2.5').ok).toBe(false);
  });

  it('60→100 by 5, 3 clean, 5 minutes takes at least 135 minutes (9 · 3 · 5)', () => {
    expect(leastMinutes(sixtyToHundred, USUAL_RULE, { kind: 'minutes', amount: 5 })).toBe(135);
    expect(leastMinutes(sixtyToHundred, USUAL_RULE, { kind: 'bars', amount: 5 })).toBeNull();
  });

  it('rules are whole numbers from 1 to 20', () => {
    expect(makeRule({ clean: '3', lost: '2' })).toEqual({ ok: true, value: USUAL_RULE });
    expect(makeRule({ clean: '0', lost: '2.5' })).toMatchObject({
      issues: [{ what: 'clean' }, { what: 'lost' }],
    });
  });
});

describe('plateauOf (four sessions without gain are common practice, no source)', () => {
  const ladder = must(makeLadder({ start: 60, target: 70, step: 5 }));
  const rule = { clean: 2, lost: 2 };
  const tries = (...days: readonly (readonly [string, number, Verdict])[]) =>
    days.map(([day, bpm, verdict], index) => ({ id: String(index), day, bpm, verdict }));

  it('counts practice days since the last gain, not calendar days', () => {
    const log = tries(
      ['2026-01-01', 60, 'clean'],
      ['2026-01-01', 60, 'clean'],
      ['2026-01-03', 65, 'shaky'],
      ['2026-01-09', 65, 'lost'],
      ['2026-01-09', 65, 'clean'],
    );
    expect(plateauOf(ladder, rule, log)).toEqual({ bpm: 65, days: 2 });
  });

  it('going down and coming back is no gain', () => {
    const log = tries(
      ['2026-01-01', 60, 'clean'],
      ['2026-01-01', 60, 'clean'],
      ['2026-01-02', 65, 'lost'],
      ['2026-01-02', 65, 'lost'],
      ['2026-01-03', 60, 'clean'],
      ['2026-01-03', 60, 'clean'],
    );
    expect(plateauOf(ladder, rule, log)).toEqual({ bpm: 65, days: 2 });
  });

  it('ends with the target, and does not begin without tries', () => {
    expect(plateauOf(ladder, rule, [])).toBeNull();
    const passed = [60, 60, 65, 65, 70, 70].map((bpm, index) => ({
      id: String(index),
      day: '2026-01-01',
      bpm,
      verdict: 'clean' as const,
    }));
    expect(plateauOf(ladder, rule, passed)).toBeNull();
  });
});
