import { difficultyParts, difficultyPoints } from '@/core/analysis';
import { leastMinutes, leastMinutesOf, rungsOf, type Course } from '@/core/ladder';
import { expand, type ClosedRecipe, type Exercise } from '@/core/recipe';
import { heavyLoads, type Load } from '@/core/safety';
import { bpm, tempoFor } from '@/core/time';

/** What can be told of an item at a glance. */
export interface Glance {
  /** How hard it is at the first rung and at the fastest. */
  readonly points: readonly [number, number];
  /** Least practice time to the target. */
  readonly minutes: number;
  /** Limbs that pass their limit at the fastest rung. */
  readonly loads: readonly Load[];
  readonly fastest: number;
}

const EXPANDED = new WeakMap<ClosedRecipe, Exercise | null>();

export function exerciseOf(recipe: ClosedRecipe): Exercise | null {
  let exercise = EXPANDED.get(recipe);
  if (exercise === undefined) {
    const made = expand(recipe);
    exercise = made.ok ? made.value : null;
    EXPANDED.set(recipe, exercise);
  }
  return exercise;
}

const GLANCES = new WeakMap<ClosedRecipe, { readonly course: Course; readonly glance: Glance }>();

/** Worked out once for an item as it is: its row and the head of its program ask for the same.
 * @returns null where the exercise cannot be played */
export function glanceAt(recipe: ClosedRecipe | undefined, course: Course): Glance | null {
  const exercise = recipe && exerciseOf(recipe);
  if (!exercise) return null;
  const known = GLANCES.get(recipe);
  if (known?.course === course) return known.glance;
  const glance = glanceOf(exercise, course);
  GLANCES.set(recipe, { course, glance });
  return glance;
}

function glanceOf(exercise: Exercise, course: Course): Glance {
  const rungs = rungsOf(course.ladder);
  const fastest = bpm(Math.max(...rungs.map((rung) => rung.ramp?.to ?? rung.bpm)));
  const first = tempoFor(exercise.meter, rungs[0]?.bpm ?? fastest);
  const last = tempoFor(exercise.meter, fastest);
  const points = (tempo: typeof first) => difficultyPoints(difficultyParts(exercise, tempo));
  const { ladder, rule, dosage } = course;
  return {
    points: [points(first), points(last)],
    minutes:
      leastMinutes(ladder, rule, dosage) ??
      leastMinutesOf(ladder, rule, dosage, exercise, first.beatTicks),
    loads: heavyLoads(exercise, last),
    fastest,
  };
}
