import type { Day } from '../calendar';
import { copyFollowed, followEvent } from '../ladder';
import { foldItem, type Logged, type LoggedTry, type Posted } from '../log';
import { fittedOf, onStand, playedMore } from '../progress';
import type { EntryId } from '../id';
import { itemKey, type StandItem } from './records';

/** An item after entries that were made where it is played and that the log does not have yet: the ladder
 * moves by the same rules, so that nobody has to wait for the answer. What it counts already counts once.
 * @param entries in the order in which they were made; those of other items are passed over
 * @param day on which they were made  @param counted tries whose time the item counts already, though not yet
 * what was said about them */
export function afterEntries(
  item: StandItem,
  entries: readonly Posted[],
  day: Day,
  counted: ReadonlySet<EntryId> = new Set(),
): StandItem {
  const tries = triesOf(item, entries, day);
  if (tries.length === 0) return item;
  const fitted = fittedOf(item.whole, null);
  const following = { course: item.item.course, facts: fitted.facts };
  const followed = copyFollowed({ state: item.state, ...item.recent });
  for (const one of tries) followEvent(followed, one, following);
  const { state, ...recent } = followed;
  const fresh = tries.filter(({ id }) => !counted.has(id));
  return {
    ...item,
    ...onStand(fitted, state, item.item, { cue: item.cue, late: followed.late }),
    state,
    recent,
    today: fresh.reduce(playedMore, item.today),
  };
}

/** The tries among entries that the item does not count yet, with what was said about them. */
function triesOf(item: StandItem, entries: readonly Posted[], day: Day): readonly LoggedTry[] {
  const known = new Set(item.recent.late.map(({ id }) => id));
  const mine = entries.filter((entry) => {
    if (!('itemId' in entry)) return true;
    const of = { assignmentId: entry.assignmentId, item: { id: entry.itemId } };
    return itemKey(of) === itemKey(item) && !known.has(entry.id);
  });
  const logged = mine.map((entry, seq) => {
    const itemId = 'itemId' in entry ? entry.itemId : null;
    const about = 'about' in entry ? entry.about : null;
    const { kind, id, body } = entry;
    return { kind, id, body, itemId, about, seq, day, at: 0, by: 'student' } as Logged;
  });
  return foldItem(logged).flatMap((one) => (one.kind === 'try' ? [one] : []));
}
