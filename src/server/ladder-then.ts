import {
  dosageNow,
  followEvent,
  onDay,
  planTry,
  rungAt,
  startFollowing,
  type Following,
} from '@/core/ladder';
import { type Body, type ItemEvent } from '@/core/log';
import { ItemProgress, playedOn } from '@/core/progress';
import type { Day, EntryId } from '@/core/studio';
import { bpm as toBpm } from '@/core/time';
import type { PlacedProgress } from './progress';

type Tried = Body<'try'>;

/** What is known of a try; the rest is what was asked for. Without a tempo it was that of the ladder. */
type Known = Pick<Tried, 'verdict'> &
  Partial<Omit<Tried, 'bpm' | 'verdict'>> & { readonly bpm: number | null };

/** The ladder of an item as it stood on dates that have passed: what was played then is asked of it date by date, and
 * moves it on from there. */
export class LadderThen {
  readonly #placed: PlacedProgress;
  readonly #following: Following;
  readonly #followed;
  readonly #events: readonly ItemEvent[];
  #next = 0;

  /** @param events of the item, in order */
  constructor(placed: PlacedProgress, events: readonly ItemEvent[]) {
    this.#placed = placed;
    this.#events = events;
    this.#following = followingOf(placed);
    this.#followed = startFollowing(this.#following);
  }

  /** A try as the log keeps it, on the rung where the ladder stood by then, after all else of that date; dates come
   * in order. Where its tempo is another one, its rung is not known. */
  try(id: EntryId, day: Day, { bpm: said, ...known }: Known): Tried {
    for (let one = this.#events[this.#next]; one && one.day <= day;) {
      const isBack = one.kind === 'decided' && one.takenBack;
      if (one.kind !== 'cue' && !isBack) followEvent(this.#followed, one, this.#following);
      one = this.#events[(this.#next += 1)];
    }
    const { fitted, item } = this.#placed;
    const state = onDay(this.#followed.state, item.course, day);
    const rung = rungAt(state.rungs, state.rung);
    const bpm = said ?? state.bpm;
    const plays = playedOn(fitted, rung, state.variation);
    const { bars, seconds } = plays
      ? planTry(plays, { ...rung, bpm: toBpm(bpm) }, dosageNow(state, item.course.dosage))
      : { bars: 1, seconds: 0 };
    const body = { bars, seconds, rung: bpm === state.bpm ? rung.key : null, ...known, bpm };
    const event = { kind: 'try', id, day, ...body, suffered: [], broke: [] } as const;
    followEvent(this.#followed, event, this.#following);
    return body;
  }
}

function followingOf({ item, fitted, given }: PlacedProgress): Following {
  return { course: item.course, facts: fitted.facts, startBpm: given.starts[item.id] };
}

/** Where the ladder of an item would stand today after a log. @param events in order  @returns bpm */
export function bpmAfter(placed: PlacedProgress, events: readonly ItemEvent[], today: Day): number {
  const { item, recipe, fitted } = placed;
  const source = { item: item.id, recipe, fitted, following: followingOf(placed) };
  const { state } = new ItemProgress(source, events).sums.followed;
  return onDay(state, item.course, today).bpm;
}
