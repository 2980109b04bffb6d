import { fail, ok, type Issue, type Path, type Result } from '../issue';
import type { AdvanceRule } from './rule-schema';

export const USUAL_RULE: AdvanceRule = { clean: 3, lost: 2, plateau: 4, away: 10, below: 2 };

export type RuleNumber = Exclude<keyof AdvanceRule, 'stopped' | 'of' | 'away' | 'below'>;

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
