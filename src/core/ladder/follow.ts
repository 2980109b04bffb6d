import type { JudgedTry, LadderEvent, Try } from '../log';
import { afterDecision } from './decide';
import type { Dosage } from './dosage-schema';
import { afterTry, MOST_BASIS } from './judge';
import { verdictCounted } from './kernel';
import { isRung } from './rung-key';
import { rungAt, startLadder, type Following, type LadderState } from './state';

/** A ladder that is being followed, entry by entry, with the tries that its next move may rest on. Only
 * `followEvent` changes it. */
export interface Followed {
  state: LadderState;
  /** The last tries, oldest first. */
  readonly late: JudgedTry[];
  /** The last ones on the lowest rung, and those of which only the tempo is known. */
  readonly lowest: JudgedTry[];
}

/** Before the first entry. */
export function startFollowing(following: Following): Followed {
  return { state: startLadder(following), late: [], lowest: [] };
}

/** The same, to go on from without changing it. */
export function copyFollowed({ state, late, lowest }: LadderStanding): Followed {
  return { state, late: [...late], lowest: [...lowest] };
}

/** A ladder that is only looked at. */
export interface LadderStanding {
  readonly state: LadderState;
  readonly late: readonly JudgedTry[];
  readonly lowest: readonly JudgedTry[];
}

/** One entry further; changes what is followed. Entries come in the order that counts. */
export function followEvent(followed: Followed, event: LadderEvent, following: Following): void {
  const { state, late, lowest } = followed;
  if (event.kind === 'decided') {
    followed.state = afterDecision(state, event, following);
    return;
  }
  const verdict = verdictCounted(event, following.course.rule);
  if (verdict === null) return;
  const one: JudgedTry = { ...event, verdict };
  keepLast(late, one);
  if (one.rung === null || isRung(rungAt(state.rungs, 0), one.rung)) keepLast(lowest, one);
  followed.state = afterTry(state, one, following, followed);
}

function keepLast(tries: JudgedTry[], one: JudgedTry): void {
  tries.push(one);
  if (tries.length > MOST_BASIS) tries.shift();
}

/** The state after a whole log, oldest entry first. The same log always gives the same state; an entry
 * that comes twice (the same id) counts once.
 * @param watch is told of each try, with where the ladder stood before it
 * @example 3 clean to advance: C C S C C C // => one rung up */
export function replay(
  following: Following,
  log: readonly LadderEvent[],
  watch?: (entry: Try, before: LadderState) => void,
): LadderState {
  const seen = new Set<string>();
  const followed = startFollowing(following);
  for (const event of log) {
    if (seen.has(event.id)) continue;
    seen.add(event.id);
    if (event.kind === 'try') watch?.(event, followed.state);
    followEvent(followed, event, following);
  }
  return followed.state;
}

/** Bars of one try while the start is looked for; common practice, no source. */
const CLIMB_DOSAGE: Dosage = { kind: 'bars', amount: 2 };

/** How much one try is just now. */
export function dosageNow(state: LadderState, dosage: Dosage): Dosage {
  if (state.climbing) return CLIMB_DOSAGE;
  return rungAt(state.rungs, state.rung).dosage ?? dosage;
}
