import { itemKey, type EntryId } from '@/core/studio';
import { askOpen, openQuestion } from './asking';
import { settle } from './going-on';
import { askVerdict } from './how-was-it';
import { withMade } from './made';
import { type Played, type RoundState, type Stand } from './round';
import { tryEntry } from './try-entry';

/** What a round has to be taken up with again, tries that were just played included; null before
 * anything was. */
export function keepOf(stand: Stand): RoundState | null {
  const { slots, sinceBreak, stage, stays, toPlay } = stand;
  const playing = stage.kind === 'playing' && stage.played.length > 0 ? stage : null;
  const judging = playing?.played ?? stand.judging;
  const place = playing?.places[playing.played.length - 1] ?? stand.place;
  const asking = openQuestion(stand);
  if (place === 0 && judging.length === 0 && !asking) return null;
  const open = judging.map(({ item, ...played }) => ({ ...played, key: itemKey(item) }));
  return { slots, place, sinceBreak, judging: open, asking, stays, toPlay };
}

/** Takes a round up again at the question that was open; what is not on the stand any more is left out.
 * @param fresh another round was asked for: only how the exercise went that it begins with is asked first */
export function resume(stand: Stand, kept: RoundState, fresh: boolean): Stand {
  const itemOfKey = (key: string | null) => stand.items.find((item) => itemKey(item) === key);
  const judged = new Set(
    stand.made.flatMap((one) => (one.kind === 'judged' ? [one.about] : ([] as EntryId[]))),
  );
  const open = kept.judging.flatMap(({ key, ...played }): readonly Played[] => {
    const item = itemOfKey(key);
    const isAsked = !judged.has(played.id) && (!fresh || key === stand.slots[0]?.key);
    return item && isAsked ? [{ ...played, item }] : [];
  });
  if (fresh && open.length === 0) return stand;
  const resumed = fresh ? { ...stand, place: -1 } : withRound(stand, kept);
  const known = withTries({ ...resumed, judging: open }, open);
  const asking = fresh ? null : kept.asking;
  const asked = asking && itemOfKey(asking.key);
  if (asked && asking && !isAnswered(stand, asking.tryId, asking.kind)) {
    return askOpen(known, asked, asking);
  }
  if (open.length > 0) return askVerdict(known);
  return settle(fresh ? { ...known, place: 0 } : known);
}

function withRound(stand: Stand, kept: RoundState): Stand {
  const { slots, place, sinceBreak, stays = false, toPlay = 0 } = kept;
  const keys = new Set(stand.items.map(itemKey));
  const left = slots.flatMap((slot, index) =>
    slot.key === null || keys.has(slot.key) ? [{ slot, index }] : [],
  );
  const from = left.findIndex(({ index }) => index >= place);
  return {
    ...stand,
    slots: left.map(({ slot }) => slot),
    place: from < 0 ? left.length : from,
    sinceBreak,
    stays,
    toPlay: left[from]?.index === place ? toPlay : 0,
    notice: 'resumed',
  };
}

/** With the tries that are asked about among what was made, so that what is said about them counts. */
function withTries(stand: Stand, open: readonly Played[]): Stand {
  const made = new Set(stand.made.map(({ id }) => id));
  const sent = open.filter(({ id }) => !made.has(id));
  const counted = new Set([...stand.counted, ...sent.map(({ id }) => id)]);
  const entries = sent.map((one) => tryEntry(one, null));
  return withMade({ ...stand, counted }, stand.known, [...entries, ...stand.made]);
}

/** Whether what is asked was answered in what waits to be sent. */
function isAnswered({ made }: Stand, tryId: EntryId, kind: 'broke' | 'suffered' | 'limb'): boolean {
  const answers = kind === 'broke' ? ['broke', 'suffered'] : ['suffered'];
  return made.some((one) => 'about' in one && one.about === tryId && answers.includes(one.kind));
}
