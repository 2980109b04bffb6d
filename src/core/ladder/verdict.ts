import { z } from 'zod';
import { fail, ok, type Issue, type Path, type Result } from '../issue';

/** How a finished try went, in the student's own judgement. */
export const VERDICTS = ['clean', 'shaky', 'lost'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** `clean`: so many clean tries on a rung lead to the next one. `lost`: so many lost in a row
 * lead one rung lower. `plateau`: so many practice days on a rung without gain are one. The teacher's
 * settings; no common number exists. */
export const advanceRuleSchema = z.strictObject({
  clean: z.int().min(1).max(20),
  lost: z.int().min(1).max(20),
  plateau: z.int().min(1).max(20).default(4),
});

export type AdvanceRule = z.infer<typeof advanceRuleSchema>;

export const USUAL_RULE: AdvanceRule = { clean: 3, lost: 2, plateau: 4 };

export type RuleNumber = keyof AdvanceRule;

/** @returns issue `rule` for each number that is not whole and 1 to 20 */
export function makeRule(
  typed: Readonly<Record<RuleNumber, string | number>>,
  path: Path = ['rule'],
): Result<AdvanceRule> {
  const issues: Issue[] = [];
  function read(what: RuleNumber): number {
    const value = Number(typed[what]);
    if (Number.isInteger(value) && value >= 1 && value <= 20) return value;
    issues.push({ code: 'rule', path: [...path, what], what, text: String(typed[what]) });
    return 0;
  }
  const rule = { clean: read('clean'), lost: read('lost'), plateau: read('plateau') };
  return issues.length > 0 ? fail(...issues) : ok(rule);
}

/** What suffered in a try that was not clean, in the trade's words. `limb` asks which one; `hands` only
 * among the hands. */
export const SUFFERINGS = [
  { id: 'pushed', name: 'pushed', limb: false },
  { id: 'dragged', name: 'dragged', limb: false },
  { id: 'flam', name: 'flam between limbs', limb: true },
  { id: 'uneven', name: 'uneven spacing', limb: false },
  { id: 'followed', name: 'a limb followed another', limb: true },
  { id: 'crept-in', name: 'a note crept in', limb: true },
  { id: 'accents', name: 'accents unclear', limb: false },
  { id: 'weak-hand', name: 'one hand weaker', limb: 'hands' },
  { id: 'tense', name: 'tense', limb: false },
  { id: 'count', name: 'lost the count', limb: false },
  { id: 'seam', name: 'broke at the seam', limb: false },
] as const;

export type SufferingId = (typeof SUFFERINGS)[number]['id'];

export const SUFFERING_IDS = SUFFERINGS.map((one) => one.id) as [SufferingId, ...SufferingId[]];

export function sufferingName(id: SufferingId): string {
  return SUFFERINGS.find((one) => one.id === id)?.name ?? id;
}
