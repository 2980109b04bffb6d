import { verdictsOf } from '@/core/ladder';
import { at, type Stand } from './round';

/** How the first of the tries was that are to be asked about. Who stopped may have had another reason. */
export function askVerdict(stand: Stand): Stand {
  const [first] = stand.judging;
  const verdicts = first ? verdictsOf(first, first.item.item.course.rule) : [];
  const options = verdicts.includes('clean') ? verdicts : [null, ...verdicts];
  return at(stand, { kind: 'verdict', options, cursor: null });
}
