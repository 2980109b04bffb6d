import { describe, expect, it } from 'vitest';
import { blankRecipe, expand } from '@/core/recipe';
import { must } from '@/core/issue';
import { systemsOf } from '../marks/columns';
import { systemsInView } from './in-view';

const exercise = must(
  expand({ ...blankRecipe(), play: { content: { text: '4 4 4 4 | 2 2 | 1 | 8 8 8 8 2' } } }),
);
const { barTicks } = exercise;

describe('systemsInView', () => {
  const systems = systemsOf(exercise, { width: 300, gutter: 60, halves: true });

  it('has two systems a bar where bars break in two', () => expect(systems).toHaveLength(8));

  it.each([
    [0, [0, 1]],
    [barTicks / 2 - 1, [0, 1]],
    [barTicks / 2, [1, 2]],
    [2.5 * barTicks, [5, 6]],
    [4 * barTicks - 1, [7, 0]],
  ])('at %i the system that sounds comes first, the next one after it', (at, shown) => {
    expect(systemsInView(systems, exercise, at, 2)).toEqual(shown);
  });

  it('all stay where they are when there is room for all', () => {
    expect(systemsInView(systems, exercise, 3 * barTicks, 8)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
  });
});
