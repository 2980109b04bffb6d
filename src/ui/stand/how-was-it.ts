import type { Verdict } from '@/core/log';
import { at, type Stand } from './round';

const VERDICTS: readonly Verdict[] = ['clean', 'shaky', 'lost'];

/** Who stopped may have had another reason; clean only where the teacher takes it for that. */
const STOPPED_VERDICTS: readonly (Verdict | null)[] = [null, 'shaky', 'lost'];

/** How the first of the tries was that are to be asked about. */
export function askVerdict(stand: Stand): Stand {
  const [first] = stand.judging;
  const whole = !first?.stopped || first.item.item.course.rule.stopped === 'all';
  const options = whole ? VERDICTS : STOPPED_VERDICTS;
  return at(stand, { kind: 'verdict', options, cursor: null });
}
