import * as z from 'zod/mini';
import { fail, ok, type Result } from '../issue';
import { dosageSchema, makeDosage, type Dosage } from './dosage';
import { ladderSchema } from './ladder';
import { makeLadder, typeLadder, type TypedLadder } from './make-ladder';
import { advanceRuleSchema, makeRule, USUAL_RULE, type RuleNumber } from './rule';

/** How an exercise is worked on: its ladder, what one try is, and when to go on. */
export const courseSchema = z.strictObject({
  ladder: ladderSchema,
  dosage: dosageSchema,
  rule: advanceRuleSchema,
  /** Whether the ladder moves by itself, or waits for the teacher to say so. */
  follow: z._default(z.enum(['acts', 'proposes']), 'acts'),
  /** Whether the start is found by climbing, two bars a rung, to the first that is not clean. */
  climb: z._default(z.boolean(), false),
});

export type Course = z.infer<typeof courseSchema>;

/** What a new item starts with: 60 → 100 by 5, five minutes, three clean. */
export const USUAL_COURSE: Course = {
  ladder: { kind: 'fixed', start: 60, target: 100, step: 5 },
  dosage: { kind: 'minutes', amount: 5 },
  rule: USUAL_RULE,
  follow: 'acts',
  climb: false,
};

/** A course as it stands in the fields of a form. */
export type TypedCourse = TypedLadder &
  Readonly<Record<RuleNumber, string>> & {
    readonly dosage: Dosage['kind'];
    readonly amount: string;
    readonly follow: Course['follow'];
    readonly climb: boolean;
  };

/** The fields that a course fills. */
export function typeCourse({ ladder, dosage, rule, follow, climb }: Course): TypedCourse {
  return {
    ...typeLadder(ladder),
    dosage: dosage.kind,
    amount: String(dosage.amount),
    clean: String(rule.clean),
    lost: String(rule.lost),
    plateau: String(rule.plateau),
    follow,
    climb,
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
  const { follow, climb } = typed;
  return ok({ ladder: ladder.value, dosage: dosage.value, rule: rule.value, follow, climb });
}
