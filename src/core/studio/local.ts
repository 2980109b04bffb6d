import type { Day } from '../calendar';
import { copyFollowed, followEvent } from '../ladder';
import { addTo, type LoggedTry, type Posted } from '../log';
import { fittedOf, onStand } from '../progress';
import { keyOf, type StandItem } from './records';

/** An item after entries that were made where it is played and that the log does not have yet: the ladder
 * moves by the same rules, so that nobody has to wait for the answer. What it counts already counts once.
 * @param entries in the order in which they were made; those of other items are passed over
 * @param day on which they were made */
export function afterEntries(item: StandItem, entries: readonly Posted[], day: Day): StandItem {
  const tries = triesOf(item, entries, day);
  if (tries.length === 0) return item;
  const fitted = fittedOf(item.whole, null);
  const following = { course: item.item.course, facts: fitted.facts };
  const followed = copyFollowed({ state: item.state, ...item.recent });
  for (const one of tries) followEvent(followed, one, following);
  const { state, ...recent } = followed;
  const seconds = tries.reduce((sum, one) => sum + one.seconds, item.today.seconds);
  return {
    ...item,
    ...onStand(fitted, state, item.item),
    state,
    recent,
    today: { tries: item.today.tries + tries.length, seconds },
  };
}

/** The tries among entries, with what was said about them. */
function triesOf(item: StandItem, entries: readonly Posted[], day: Day): readonly LoggedTry[] {
  const known = new Set(item.recent.late.map(({ id }) => id));
  const tries = new Map<string, LoggedTry>();
  entries.forEach((entry, seq) => {
    if (entry.kind === 'try') {
      const of = { assignmentId: entry.assignmentId, item: { id: entry.itemId } };
      if (keyOf(of) !== keyOf(item) || known.has(entry.id)) return;
      const { id, itemId, body } = entry;
      const { paper = false, ...said } = body;
      const base = { kind: 'try' as const, id, itemId, at: 0, day, seq, paper };
      tries.set(id, { ...base, ...said, suffered: [], broke: [], remark: '' });
    } else if ('about' in entry) {
      const about = tries.get(entry.about);
      if (about) tries.set(about.id, addTo(about, entry));
    }
  });
  return [...tries.values()];
}
