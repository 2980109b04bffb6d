import { compareRules, holdForecasts, LEARNERS, sumHeld, type Held } from '@/core/simulation';
import type { Row } from './report';

const percent = (share: number) => `${Math.round(100 * share)} %`;

function rowOf(what: string, held: readonly Held[]): Row {
  const { count, inside, before, behind, ratio, saidNever, wasNever } = sumHeld(held);
  return {
    what: `${what}: ${count} forecasts`,
    measured: `${percent(inside)} in the range; ${percent(before)} earlier, ${percent(behind)} later; "not within half a year" said ${saidNever} times, so ${wasNever} times`,
    against: `the middle is ${ratio.toFixed(2)} × the truth`,
  };
}

/** Forecasts held against model students, and what each setting costs them. */
export function forecasts(): Row[] {
  const held = holdForecasts();
  const of = (what: Held['what'], is: (one: Held) => boolean = () => true) =>
    held.filter((one) => one.what === what && is(one));
  const programs = [...new Set(held.map(({ program }) => program))];
  const [usual, ...others] = compareRules();
  return [
    ...(['item', 'program'] as const).flatMap((what) => [
      rowOf(`${what}s`, of(what)),
      ...LEARNERS.map((learner) =>
        rowOf(
          `${what}s, ${learner}`,
          of(what, (one) => one.learner === learner),
        ),
      ),
    ]),
    ...programs.map((program) =>
      rowOf(
        `programs, ${program}`,
        of('program', (one) => one.program === program),
      ),
    ),
    ...others.map(({ id, median, ninth }) => ({
      what: `rules, ${id}`,
      measured: `through in ${median ?? 'over 365'} days in the middle, nine in ten in ${ninth ?? 'over 365'}`,
      against: `as usual ${usual?.median ?? 'over 365'} and ${usual?.ninth ?? 'over 365'} days`,
    })),
  ];
}
