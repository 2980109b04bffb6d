import { daysBetween, type Day } from '../calendar';
import type { StepPlace } from '../breaks';
import type { ItemId } from '../id';
import type { Limb } from '../kit';
import { isTwist, type Variation, type Verdict } from '../log';
import { rungAt, type LadderState, type Proposal, type RungFacts } from '../ladder';

/** Where tries break most: a crossing in its place. */
export interface BreakPlace {
  readonly place: StepPlace;
  readonly from: readonly Limb[];
  readonly to: readonly Limb[];
}

/** Why a student needs the teacher: one fact, and how urgent it is (0 is nothing, 100 the most). */
export type Need = ItemNeed | StudentNeed;

/** About an item. */
type ItemNeed = {
  readonly item: ItemId;
  readonly name: string;
  readonly urgency: number;
  readonly breaksAt: BreakPlace | null;
} & (
  | {
      readonly kind: 'stuck';
      readonly code: 'plateau';
      readonly here: RungFacts;
      /** Of practice. */
      readonly days: number;
      readonly variation: Variation;
    }
  | {
      readonly kind: 'stuck' | 'asks';
      readonly code: 'proposal';
      readonly proposal: Proposal;
    }
  | { readonly kind: 'stuck'; readonly code: 'simpler'; readonly here: RungFacts }
  | {
      readonly kind: 'losing';
      readonly code: 'not-clean';
      readonly here: RungFacts;
      readonly bad: number;
      readonly of: number;
    }
);

/** About the student. */
type StudentNeed = { readonly item: null; readonly urgency: number } & (
  | { readonly kind: 'idle'; readonly code: 'no-program' | 'all-passed' }
  | { readonly kind: 'away'; readonly code: 'away'; readonly days: number }
);

/** What is known of an item. `breaksAt` names the crossing at which its tries break most. */
export interface ItemStanding {
  readonly item: ItemId;
  readonly name: string;
  readonly state: LadderState;
  /** Oldest first. */
  readonly verdicts: readonly Verdict[];
  readonly breaksAt: BreakPlace | null;
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
  const { proposal } = state;
  const here = rungAt(state.rungs, state.rung).asks;
  const about = { item, name, breaksAt };
  if (proposal) {
    const { kind } = proposal;
    const waited = Math.min(9, Math.floor(state.stuckDays / 3));
    if (kind === 'plateau') {
      const { variation } = proposal;
      const urgency = URGENCY.plateau + waited;
      const days = state.stuckDays;
      return [{ kind: 'stuck', code: 'plateau', ...about, urgency, here, days, variation }];
    }
    if (kind === 'simplify') {
      const urgency = URGENCY.simplify + waited;
      return [{ kind: 'stuck', code: 'proposal', ...about, urgency, proposal }];
    }
    const urgency = URGENCY.asks + waited;
    return [{ kind: 'asks', code: 'proposal', ...about, breaksAt: null, urgency, proposal }];
  }
  if (state.variation && state.reason.kind !== 'passed' && !isTwist(state.variation)) {
    return [{ kind: 'stuck', code: 'simpler', ...about, urgency: URGENCY.varied, here }];
  }
  const late = verdicts.slice(-LATELY);
  const bad = late.filter((one) => one !== 'clean').length;
  if (late.length < LATELY || bad <= LATELY / 2) return [];
  const urgency = URGENCY.losing + bad;
  return [{ kind: 'losing', code: 'not-clean', ...about, urgency, here, bad, of: LATELY }];
}

function studentNeed(
  items: readonly ItemStanding[],
  today: Day,
  lastDay: Day | null,
): readonly Need[] {
  if (items.length === 0) {
    return [{ kind: 'idle', code: 'no-program', urgency: URGENCY.idle, item: null }];
  }
  if (items.every(({ state }) => state.passed)) {
    return [{ kind: 'idle', code: 'all-passed', urgency: URGENCY.idle + 5, item: null }];
  }
  if (lastDay === null) return [];
  const days = daysBetween(lastDay, today);
  if (days < AWAY_DAYS) return [];
  const urgency = URGENCY.away + Math.min(19, days - AWAY_DAYS);
  return [{ kind: 'away', code: 'away', urgency, days, item: null }];
}
