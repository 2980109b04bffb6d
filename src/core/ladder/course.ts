import { fail, ok, type Result } from '../issue';
import type { Course } from './course-schema';
import { makeDosage } from './dosage';
import type { Dosage } from './dosage-schema';
import { MOST_LAST_TRIES } from './data';
import { makeLadder, typeLadder, type TypedLadder } from './make-ladder';
import { makeRule, USUAL_RULE, type RuleNumber } from './rule';
import type { StoppedTries } from './rule-schema';
import { FASTEST } from '../time';

/** What a new item starts with: 60 → 100 by 5, eight bars, three clean; docs/practice-rules.md has what that costs. */
export const USUAL_COURSE: Course = {
  ladder: { kind: 'fixed', start: 60, target: 100, step: 5 },
  dosage: { kind: 'bars', amount: 8 },
  rule: USUAL_RULE,
  follow: 'acts',
  climb: false,
};

/** How far a step of an exercise climbs above its start, and the whole, in bpm. */
const STEP_CLIMBS = { step: { by: 10, to: 20 }, whole: { by: 5, to: 40 } } as const;

/** What a step of an exercise starts with: eight bars a try, three rungs, so that a beginner is through it in
 * minutes; the whole climbs further, in smaller steps.
 * @param start bpm
 * @example stepCourse(60, 'step').ladder // => 60 70 80 */
export function stepCourse(start: number, kind: keyof typeof STEP_CLIMBS): Course {
  const { by, to } = STEP_CLIMBS[kind];
  const target = Math.min(FASTEST, start + to);
  return {
    ...USUAL_COURSE,
    ladder: { kind: 'fixed', start, target, step: by },
  };
}

/** A course as it stands in the fields of a form. */
export type TypedCourse = TypedLadder &
  Readonly<Record<RuleNumber, string>> & {
    readonly dosage: Dosage['kind'];
    readonly amount: string;
    /** Of how many of the last tries; empty for in a row. */
    readonly of: string;
    /** Days away that cost a rung; empty for none. */
    readonly away: string;
    /** Rungs below the first one that was not clean, for a start that is looked for. */
    readonly below: string;
    readonly stopped: StoppedTries;
    readonly follow: Course['follow'];
    readonly climb: boolean;
    readonly headStart: boolean;
  };

/** The fields that a course fills. */
export function typeCourse(course: Course): TypedCourse {
  const { ladder, dosage, rule, follow, climb, headStart = false } = course;
  return {
    ...typeLadder(ladder),
    dosage: dosage.kind,
    amount: String(dosage.amount),
    clean: String(rule.clean),
    of: rule.of === undefined ? '' : String(rule.of),
    away: rule.away === undefined ? '' : String(rule.away),
    below: String(rule.below ?? 1),
    lost: String(rule.lost),
    plateau: String(rule.plateau),
    stopped: rule.stopped ?? null,
    follow,
    climb,
    headStart,
  };
}

/** @returns all fields' issues at once; the last part of each path is the field's name */
export function makeCourse(typed: TypedCourse): Result<Course> {
  const ladder = makeLadder(typed, []);
  const dosage = makeDosage(typed.dosage, typed.amount, ['amount']);
  const rule = makeRule(typed, []);
  const of = readLast(typed);
  if (!ladder.ok || !dosage.ok || !rule.ok || !of.ok) {
    return fail(...[ladder, dosage, rule, of].flatMap((part) => (part.ok ? [] : part.issues)));
  }
  const { follow, climb, headStart, stopped, away, below } = typed;
  const rules = {
    ...rule.value,
    ...(of.value === null ? {} : { of: of.value }),
    ...(away === '' ? {} : { away: Number(away) }),
    ...(below === '1' ? {} : { below: Number(below) }),
    ...(stopped ? { stopped } : {}),
  };
  return ok({
    ladder: ladder.value,
    dosage: dosage.value,
    rule: rules,
    ...{ follow, climb },
    ...(headStart ? { headStart } : {}),
  });
}

/** Of how many of the last tries so many are clean: more than these. */
function readLast({ of, clean }: TypedCourse): Result<number | null> {
  if (of.trim() === '') return ok(null);
  const tries = Number(of);
  if (Number.isInteger(tries) && tries > Number(clean) && tries <= MOST_LAST_TRIES)
    return ok(tries);
  return fail({ code: 'rule', path: ['of'], what: 'of', text: of });
}
