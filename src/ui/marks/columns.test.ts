import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { blankRecipe, expand, type Exercise } from '@/core/recipe';
import { typedSticking } from '@/core/sticking';
import { systemsOf } from './columns';

function exerciseOf(sticking: string): Exercise {
  return must(expand({ ...blankRecipe(), play: { content: typedSticking(sticking) } }));
}

describe('systemsOf', () => {
  const plain = exerciseOf('RLRL RLRL RLRL RLRL RLRL RLRL RLRL RLRL');
  const drags = exerciseOf('dRLRL dRLRL dRLRL dRLRL dRLRL dRLRL dRLRL dRLRL');
  const at = { width: 900, gutter: 128 };
  const perRow = (exercise: Exercise, engraved: boolean) =>
    systemsOf(exercise, { ...at, engraved })[0]?.bars.length;

  it('a staff has room for grace notes before their notes, also before beat one', () => {
    const [first] = systemsOf(drags, { ...at, engraved: true })[0]?.bars ?? [];
    const [lanes] = systemsOf(drags, at)[0]?.bars ?? [];
    const lead = (box?: typeof first) => (box?.left ?? 0) - (box?.edge ?? 0);
    expect(lead(first)).toBeGreaterThanOrEqual(lead(lanes) + 20);
    expect(perRow(plain, true)).toBe(2);
    expect(perRow(drags, true)).toBe(1);
    expect(perRow(drags, false)).toBe(2);
  });

  it('without such signs a staff takes no more room than its lanes', () => {
    expect(systemsOf(plain, { ...at, engraved: true })).toEqual(systemsOf(plain, at));
  });
});
