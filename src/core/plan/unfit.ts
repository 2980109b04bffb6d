import type { Day } from '../calendar';
import { datesFrom, hoursOn } from './schedule';
import { planDays, PLAN_DAYS, type Plan, type Planning } from './plan';
import { stretchesOf } from './stretches';
import type { PlannedExercise, PlannedState } from './work';

/** What a plan cannot hold, and what would make room. Works by their place. */
export type Unfit =
  | { readonly kind: 'no-kit'; readonly works: readonly number[] }
  | {
      readonly kind: 'too-long';
      readonly work: number;
      readonly needs: number;
      readonly has: number;
    }
  /** Not reached by the target date; without `drop` the others are. Empty when nothing less than
   * dropping all of them helps. */
  | {
      readonly kind: 'late';
      readonly works: readonly number[];
      readonly target: Day;
      readonly drop: readonly number[];
    }
  /** Not even begun within the dates that are planned. */
  | { readonly kind: 'not-begun'; readonly works: readonly number[]; readonly weeks: number };

/** Most works that are tried to be dropped. */
const MOST_DROPS = 8;

/** What does not fit, gravest first. */
export function findUnfit(planning: Planning, plan: Plan): readonly Unfit[] {
  const { works, states, schedule, today, count = PLAN_DAYS } = planning;
  const longest = { kit: 0, pad: 0 };
  for (const day of datesFrom(today, count)) {
    for (const { on, seconds } of stretchesOf(hoursOn(schedule, day))) {
      longest[on] = Math.max(longest[on], seconds);
    }
  }
  const open = works.flatMap((_, index) => (states[index]?.passed ? [] : [index]));
  const found: Unfit[] = [];
  const noKit = open.filter((index) => works[index]?.needsKit && longest.kit === 0);
  if (noKit.length > 0) found.push({ kind: 'no-kit', works: noKit });
  for (const work of open) {
    const needs = leastSeconds(works[work], states[work]);
    const has = works[work]?.needsKit ? longest.kit : Math.max(longest.kit, longest.pad);
    if (has > 0 && needs > has) found.push({ kind: 'too-long', work, needs, has });
  }
  const said = new Set(found.flatMap((one) => ('works' in one ? one.works : [one.work])));
  const { target } = schedule;
  const late = open.filter(
    (index) => !said.has(index) && target !== null && (plan.reached[index] ?? '9') > target,
  );
  if (target !== null && target >= today && late.length > 0) {
    const drop = dropFor(planning, late, target);
    found.push({ kind: 'late', works: late, target, drop });
  }
  const notBegun = open.filter(
    (index) => !said.has(index) && !late.includes(index) && plan.begun[index] === null,
  );
  if (notBegun.length > 0) found.push({ kind: 'not-begun', works: notBegun, weeks: count / 7 });
  return found;
}

/** The shortest try that a day can hold. */
function leastSeconds(work: PlannedExercise | undefined, state: PlannedState | undefined): number {
  const whole = work?.trySeconds[state?.rung ?? 0] ?? 0;
  return work?.cuts ? whole / 2 : whole;
}

/** The last works of the program without which the others are reached in time; whatever waits for one
 * of them goes too. */
function dropFor(planning: Planning, late: readonly number[], target: Day): readonly number[] {
  const { works } = planning;
  const drop = new Set<number>();
  for (const index of [...late].reverse().slice(0, MOST_DROPS)) {
    drop.add(index);
    works.forEach((work, at) => {
      if (work.after.includes(index)) drop.add(at);
    });
    const { reached } = planDays(withoutWorks(planning, drop));
    const left = late.filter((one) => !drop.has(one));
    if (left.length === 0) return [];
    const kept = works.flatMap((_, at) => (drop.has(at) ? [] : [at]));
    if (kept.every((at, place) => !left.includes(at) || (reached[place] ?? '9') <= target)) {
      return [...drop].sort((a, b) => a - b);
    }
  }
  return [];
}

/** The same without some works. */
export function withoutWorks(planning: Planning, drop: ReadonlySet<number>): Planning {
  const kept = planning.works.flatMap((_, index) => (drop.has(index) ? [] : [index]));
  const placeInKept = new Map(kept.map((index, place) => [index, place]));
  const works = kept.flatMap((index): readonly PlannedExercise[] => {
    const work = planning.works[index];
    return work
      ? [{ ...work, after: work.after.flatMap((one) => placeInKept.get(one) ?? []) }]
      : [];
  });
  const states = kept.flatMap((index) => planning.states[index] ?? []);
  return { ...planning, works, states };
}
