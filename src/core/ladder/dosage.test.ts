import { describe, expect, it } from 'vitest';
import { ENGLISH, sayDosage } from '@/words';
import { must } from '../issue';
import { blankRecipe, expand } from '../recipe';
import { bpm, tempoFor, ticksToSeconds } from '../time';
import { dosageBars, leastMinutes, makeDosage, makeRule, USUAL_COURSE, USUAL_RULE } from '.';

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

  it('of strokes ends at the next cycle seam: 20 of 6 a cycle take 4 cycles', () => {
    expect(exercise.strokes).toHaveLength(6);
    expect(dosageBars({ kind: 'strokes', amount: 20 }, exercise, tempo)).toBe(8);
    expect(dosageBars({ kind: 'strokes', amount: 18 }, exercise, tempo)).toBe(6);
  });

  it('a whole minute that fits exactly takes no bar more', () => {
    const even = tempoFor(exercise.meter, bpm(120));
    expect(dosageBars({ kind: 'minutes', amount: 5 }, exercise, even)).toBe(150);
  });

  it.each(['0', '', '-1', '200', 'five', '0.25'])('refuses “%s” minutes', (typed) => {
    expect(makeDosage('minutes', typed)).toMatchObject({ ok: false, issues: [{ code: 'dosage' }] });
  });

  it('is said in words', () => {
    expect(sayDosage(ENGLISH, must(makeDosage('repetitions', '1')))).toBe('1 repetition');
    expect(sayDosage(ENGLISH, must(makeDosage('minutes', '2.5')))).toBe('2.5 minutes');
    expect(makeDosage('bars', '2.5').ok).toBe(false);
  });

  it('60→100 by 5, 3 clean, 5 minutes takes at least 135 minutes (9 · 3 · 5)', () => {
    expect(leastMinutes(USUAL_COURSE.ladder, USUAL_RULE, { kind: 'minutes', amount: 5 })).toBe(135);
    expect(leastMinutes(USUAL_COURSE.ladder, USUAL_RULE, { kind: 'bars', amount: 5 })).toBeNull();
  });

  it('rules are whole numbers from 1 to 20', () => {
    expect(makeRule({ clean: '3', lost: '2', plateau: '4' })).toEqual({
      ok: true,
      value: { clean: 3, lost: 2, plateau: 4 },
    });
    expect(makeRule({ clean: '0', lost: '2.5', plateau: '4' })).toMatchObject({
      issues: [{ what: 'clean' }, { what: 'lost' }],
    });
  });
});
