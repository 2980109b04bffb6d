import { describe, expect, it } from 'vitest';
import { difficultyParts, difficultyPoints, hindrances } from '../analysis';
import { must } from '../issue';
import { leastMinutesOf, rungsOf } from '../ladder';
import { expand, recipeHash } from '../recipe';
import { bpm, tempoBeatTicks, tempoFor } from '../time';
import { STARTER_IDS, STARTERS, type StarterItem } from '.';

const all = STARTER_IDS.map((id) => [id, STARTERS[id]() as readonly StarterItem[]] as const);

describe.each(all)('the starter program %s', (_, items) => {
  it('can be played throughout at its first tempo, on a kit', () => {
    for (const { recipe, course } of items) {
      const exercise = must(expand(recipe));
      expect(exercise.strokes.length).toBeGreaterThan(0);
      const [rung] = rungsOf(course.ladder);
      const tempo = tempoFor(exercise.meter, rung?.bpm ?? bpm(60));
      expect(hindrances(exercise, tempo).map((one) => one.rule)).toEqual([]);
    }
  });

  it('plays another thing in each item, under a name of its own', () => {
    expect(new Set(items.map(({ recipe }) => recipeHash(recipe))).size).toBe(items.length);
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
  });

  it('ends harder than it begins', () => {
    const points = items.map(({ recipe }) => {
      const exercise = must(expand(recipe));
      return difficultyPoints(difficultyParts(exercise, tempoFor(exercise.meter, bpm(60))));
    });
    expect(points.at(-1)).toBeGreaterThan(points[0] ?? 0);
  });

  it('is a matter of minutes an item, at least, not of hours', () => {
    for (const { recipe, course } of items) {
      const exercise = must(expand(recipe));
      const least = leastMinutesOf(
        course.ladder,
        course.rule,
        course.dosage,
        exercise,
        tempoBeatTicks(exercise.meter),
      );
      expect(least).toBeLessThan(60);
    }
  });
});

it('there are six to nine of them', () => {
  expect(STARTER_IDS.length).toBeGreaterThanOrEqual(6);
  expect(STARTER_IDS.length).toBeLessThanOrEqual(9);
});
