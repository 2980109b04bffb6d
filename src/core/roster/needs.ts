import { sayCount } from '../issue';
import { daysBetween, type Day } from '../calendar';
import type { ItemId } from '../id';
import { sayVariation, type Verdict } from '../log';
import { proposalText, rungAt, type LadderState } from '../ladder';

/** Why a student needs the teacher: one fact, and how urgent it is (0 is nothing, 100 the most). */
export interface Need {
  readonly kind: 'asks' | 'stuck' | 'losing' | 'away' | 'idle';
  readonly urgency: number;
  readonly says: string;
  /** The item it is about; null where it is about the student. */
  readonly item: ItemId | null;
}

/** What is known of an item. `breaksAt` names the crossing at which its tries break most. */
export interface ItemStanding {
  readonly item: ItemId;
  readonly name: string;
  readonly state: LadderState;
  /** Oldest first. */
  readonly verdicts: readonly Verdict[];
  readonly breaksAt: string | null;
}

/** So long without practice, and it is worth a word; common practice, no source. */
const AWAY_DAYS = 5;

/** The last tries that are looked at. */
const LATELY = 6;

/** Urgencies, in the order in which a teacher looks; common practice, no source. */
const URGENCY = {
  varied: 80,
  plateau: 90,
  simplify: 100,
  asks: 60,
  losing: 70,
  away: 40,
  idle: 30,
};

/** Why a student needs the teacher, most urgent first; stuck on the longest plateau first.
 * @param lastDay of any try; null when there is none */
export function needsOf(
  items: readonly ItemStanding[],
  today: Day,
  lastDay: Day | null,
): readonly Need[] {
  return [...items.flatMap(itemNeed), ...studentNeed(items, today, lastDay)].sort(
    (a, b) => b.urgency - a.urgency,
  );
}

function itemNeed(standing: ItemStanding): readonly Need[] {
  const { item, name, state, verdicts, breaksAt } = standing;
  const breaks = breaksAt === null ? '' : ` It breaks at ${breaksAt}.`;
  const { proposal } = state;
  const here = rungAt(state.rungs, state.rung).says;
  if (proposal) {
    const { kind } = proposal;
    const stuck = kind === 'simplify' || kind === 'plateau';
    const says =
      kind === 'plateau'
        ? `${name}: stuck at ${here} for ${sayCount(state.stuckDays, 'day')} of practice; play ${sayVariation(proposal.variation)}.${breaks}`
        : `${name}: ${decapital(proposalText(proposal))}${stuck ? breaks : ''}`;
    const waited = Math.min(9, Math.floor(state.stuckDays / 3));
    const urgency = (stuck ? URGENCY[kind] : URGENCY.asks) + waited;
    return [{ kind: stuck ? 'stuck' : 'asks', urgency, says, item }];
  }
  if (state.variation && state.reason.kind !== 'passed' && isSimpler(state)) {
    const says = `${name}: made simpler at ${here}.${breaks}`;
    return [{ kind: 'stuck', urgency: URGENCY.varied, says, item }];
  }
  const late = verdicts.slice(-LATELY);
  const bad = late.filter((one) => one !== 'clean').length;
  if (late.length < LATELY || bad <= LATELY / 2) return [];
  const says = `${name}: ${bad} of the last ${LATELY} tries not clean at ${here}.${breaks}`;
  return [{ kind: 'losing', urgency: URGENCY.losing + bad, says, item }];
}

function decapital(text: string): string {
  return text.slice(0, 1).toLowerCase() + text.slice(1);
}

function isSimpler({ variation }: LadderState): boolean {
  return variation !== null && variation.kind !== 'displaced' && variation.kind !== 'other-lead';
}

function studentNeed(
  items: readonly ItemStanding[],
  today: Day,
  lastDay: Day | null,
): readonly Need[] {
  if (items.length === 0) {
    return [{ kind: 'idle', urgency: URGENCY.idle, says: 'Has no program.', item: null }];
  }
  if (items.every(({ state }) => state.passed)) {
    const says = 'Has passed everything: give something new.';
    return [{ kind: 'idle', urgency: URGENCY.idle + 5, says, item: null }];
  }
  if (lastDay === null) return [];
  const days = daysBetween(lastDay, today);
  if (days < AWAY_DAYS) return [];
  const urgency = URGENCY.away + Math.min(19, days - AWAY_DAYS);
  return [{ kind: 'away', urgency, says: `No practice for ${days} days.`, item: null }];
}
