import { fail, ok, type Result } from '../issue';
import { makeDosage, type Dosage } from './dosage';
import { makeLadder, type Ladder } from './ladder';
import { makeRule, USUAL_RULE, type AdvanceRule } from './verdict';

/** How an exercise is worked on: its ladder, what one try is, and when to go on. */
export interface Course {
  readonly ladder: Ladder;
  readonly dosage: Dosage;
  readonly rule: AdvanceRule;
}

/** What a new item starts with: 60 → 100 by 5, five minutes, three clean. */
export const USUAL_COURSE: Course = {
  ladder: { kind: 'fixed', start: 60, target: 100, step: 5 },
  dosage: { kind: 'minutes', amount: 5 },
  rule: USUAL_RULE,
};

/** A course as it stands in the fields of a form. */
export interface TypedCourse {
  readonly start: string;
  readonly target: string;
  readonly step: string;
  readonly dosage: Dosage['kind'];
  readonly amount: string;
  readonly clean: string;
  readonly lost: string;
}

/** The fields that a course fills. */
export function typeCourse({ ladder, dosage, rule }: Course): TypedCourse {
  return {
    start: String(ladder.start),
    target: String(ladder.target),
    step: String(ladder.step),
    dosage: dosage.kind,
    amount: String(dosage.amount),
    clean: String(rule.clean),
    lost: String(rule.lost),
  };
}

/** @returns all fields' issues at once; the last part of each path is the field's name */
export function makeCourse(typed: TypedCourse): Result<Course> {
  const ladder = makeLadder(typed, []);
  const dosage = makeDosage(typed.dosage, typed.amount, ['amount']);
  const rule = makeRule(typed, []);
  if (!ladder.ok || !dosage.ok || !rule.ok) {
    return fail(...[ladder, dosage, rule].flatMap((part) => (part.ok ? [] : part.issues)));
  }
  return ok({ ladder: ladder.value, dosage: dosage.value, rule: rule.value });
}
