import { NOTHING_PLAYED } from '@/core/progress';
import { describe, expect, it } from 'vitest';
import { startLadder, USUAL_COURSE, type Course } from '@/core/ladder';
import { blankRecipe, toggleOstinato } from '@/core/recipe';
import type { StandItem } from '@/core/studio';
import { USUAL_SET_UP } from './kept';
import { planSlot } from './plan-slot';

const FIRST = { first: true, tapped: null, seed: 1 };
const WHOLE = { cutTo: null };

function item(course: Course = USUAL_COURSE): StandItem {
  const recipe = toggleOstinato(blankRecipe(), 'rock-8ths');
  return {
    assignmentId: 'a' as StandItem['assignmentId'],
    program: '',
    section: '',
    item: {
      id: 'one' as StandItem['item']['id'],
      kind: 'exercise',
      exerciseId: 'x' as StandItem['item']['exerciseId'],
      hash: '',
      name: 'One',
      course,
      cues: [],
      place: 'derived',
      after: [],
    },
    whole: recipe,
    recent: { late: [], lowest: [] },
    plays: recipe,
    state: startLadder({ course }),
    why: { kind: 'cannot-be-varied' },
    cues: [],
    waitsFor: [],
    resting: false,
    today: NOTHING_PLAYED,
    cue: '',
  };
}

function inManner(manner: 'click-2-4' | 'own-music' | 'own-version'): StandItem {
  const stages = [{ kind: 'manner', manner } as const];
  return item({ ...USUAL_COURSE, ladder: { kind: 'stages', bpm: 80, stages } });
}

describe('planSlot', () => {
  it('five minutes at 60 are 75 bars; cut to two and a half they are 38', () => {
    const long = item({ ...USUAL_COURSE, dosage: { kind: 'minutes', amount: 5 } });
    expect(planSlot(long, WHOLE, USUAL_SET_UP, FIRST)).toMatchObject({ bars: 75, seconds: 300 });
    expect(planSlot(long, { cutTo: 2.5 }, USUAL_SET_UP, FIRST)?.bars).toBe(38);
  });

  it('counts in for a bar; between two tries two bars are empty', () => {
    expect(planSlot(item(), WHOLE, USUAL_SET_UP, FIRST)?.score.countInBars).toBe(1);
    const next = planSlot(item(), WHOLE, USUAL_SET_UP, { ...FIRST, first: false });
    expect(next?.score.countInBars).toBe(2);
  });

  it('hears the limbs that are wanted, with the click and the sound that are', () => {
    const setUp = { ...USUAL_SET_UP, click: 'pulse', sound: 'wood', hear: ['RF'] } as const;
    const score = planSlot(item(), WHOLE, setUp, FIRST)?.score;
    expect([...(score?.muted ?? [])]).toEqual(['RH', 'LH', 'LF']);
    expect(score).toMatchObject({ click: 'pulse', sound: 'wood', calls: null });
  });

  it('a rung says where the click is, whatever the student has', () => {
    const setUp = { ...USUAL_SET_UP, click: 'pulse' } as const;
    expect(planSlot(inManner('click-2-4'), WHOLE, setUp, FIRST)?.score.click).toBe('second beats');
    const silent = { ...USUAL_SET_UP, bars: 'x-', parts: 2, tapIn: true } as const;
    const asked = planSlot(inManner('click-2-4'), WHOLE, silent, FIRST)?.score;
    expect(asked).toMatchObject({ click: 'second beats', bars: '', parts: 2, countInBars: 0 });
  });

  it('a step that is untimed has no click; its neighbours keep theirs', () => {
    const recipe = toggleOstinato(blankRecipe(), 'rock-8ths');
    const step = (untimed: boolean) => ({ kind: 'step' as const, says: 'part 1', recipe, untimed });
    const clickOf = (untimed: boolean) => {
      const ladder = { kind: 'stages' as const, bpm: 80, stages: [step(untimed)] };
      const course = { ...USUAL_COURSE, ladder };
      return planSlot(item(course), WHOLE, { ...USUAL_SET_UP, click: 'pulse' }, FIRST)?.score.click;
    };
    expect(clickOf(true)).toBe('off');
    expect(clickOf(false)).toBe('pulse');
  });

  it('a tempo that is chosen counts as what it is; the rung’s own is the rung', () => {
    const of = item();
    const slower = planSlot(of, WHOLE, USUAL_SET_UP, { ...FIRST, chosen: 55 });
    expect(slower?.rung).toMatchObject({ key: 'tempo:55', bpm: 55 });
    expect(slower?.tempo.bpm).toBe(55);
    const same = planSlot(of, WHOLE, USUAL_SET_UP, { ...FIRST, chosen: 60 });
    expect(same?.rung).toEqual(planSlot(of, WHOLE, USUAL_SET_UP, FIRST)?.rung);
  });

  it('own music goes at the tempo that was tapped, its rung stays the same', () => {
    const plan = planSlot(inManner('own-music'), WHOLE, USUAL_SET_UP, { ...FIRST, tapped: 97 });
    expect(plan?.tempo.bpm).toBe(97);
    expect(plan?.rung.key).toBe('manner:own-music:80');
    expect(plan?.score.click).toBe('off');
  });

  it('an own version has its bars called, the same ones for the same seed', () => {
    const calls = (seed: number) =>
      planSlot(inManner('own-version'), WHOLE, USUAL_SET_UP, { ...FIRST, seed })?.score.calls;
    expect(calls(1)).toHaveLength(8);
    expect(calls(1)).toEqual(calls(1));
    expect(calls(1)).not.toEqual(calls(2));
  });

  it('what cannot be played is null', () => {
    const broken = { ...item(), plays: { ...blankRecipe() } };
    expect(planSlot(broken, WHOLE, USUAL_SET_UP, FIRST)).toBeNull();
  });
});
