import { countCrossings, weakCrossings, type CrossingCount } from '@/core/breaks';
import {
  beatPlaces,
  bridgeLoop,
  dueDay,
  headStart,
  onDay,
  startLadder,
  verdictCounted,
  type LadderState,
} from '@/core/ladder';
import { foldItem } from '@/core/log';
import { NOTHING_PLAYED, onStand, type OnStand } from '@/core/progress';
import type { Exercise } from '@/core/recipe';
import type { ItemStanding } from '@/core/roster';
import {
  dayOf,
  type Day,
  type ItemId,
  type ItemRecord,
  type StandItem,
  type WeakPlace,
} from '@/core/studio';
import { formatMeter } from '@/core/time';
import type { StudentStore } from '@/db';
import type { Context } from './context';
import type { PlacedProgress, Progress } from './progress';

/** The calendar day of an instant in the studio's zone; of now when left out. */
export function practiceDay(
  { now, store }: Pick<Context, 'now'> & { readonly store: Pick<StudentStore, 'studio'> },
  at = now(),
): Day {
  return dayOf(at, store.studio().zone);
}

/** What ladders ask for is worked out once for each state. */
const ON_STAND = new WeakMap<
  LadderState,
  { readonly shown: OnStand & { readonly cue: string }; readonly broke: string }
>();

/** Everything on a student's stand, in order. */
export function standItems({ items }: Progress, today: Day): readonly StandItem[] {
  const passed = new Set(
    items.flatMap(({ item, sums }) => (sums.followed.state.passed ? [item.id] : [])),
  );
  const spotless = new Set(
    items.flatMap(({ item, sums: { followed, mix } }) =>
      followed.state.passed && mix.shaky + mix.lost === 0 ? [item.id] : [],
    ),
  );
  const nameOf = new Map(items.map(({ item }) => [item.id, item.name]));
  return items.map((placed): StandItem => {
    const { given, program, section, item, fitted, sums } = placed;
    const { late, lowest } = sums.followed;
    const { after } = item;
    const before = sums.followed.state;
    const isAhead = after.length > 0 && after.every((id) => spotless.has(id));
    const begun = isAhead ? headStart(before, item.course) : before;
    const state = onDay(begun, item.course, today);
    const recent = { late: [...late], lowest: [...lowest] };
    let shown = ON_STAND.get(state);
    const { cue } = sums;
    // Where a try broke may be said after it has moved the ladder.
    const broke = late.map((one) => one.broke.join()).join(' ');
    if (shown?.shown.cue !== cue || shown.broke !== broke) {
      shown = { shown: { ...onStand(fitted, state, item, { cue, late }), cue }, broke };
      ON_STAND.set(state, shown);
    }
    const due = dueDay(state);
    const last = sums.days.at(-1);
    const { tries, seconds, stopped } = last?.day === today ? last : NOTHING_PLAYED;
    const open = after.filter((id) => !passed.has(id) && nameOf.has(id));
    return {
      assignmentId: given.assignmentId,
      program,
      section,
      item,
      whole: fitted.whole,
      state,
      recent,
      ...shown.shown,
      waitsFor: open.map((id) => nameOf.get(id) ?? ''),
      resting: due !== null && due > today,
      today: { tries, seconds, stopped },
    };
  });
}

/** An item's history beside where it stands; what the log comes to goes on changing, this does not. */
export function recordOf(
  store: StudentStore,
  { sums }: PlacedProgress,
  item: StandItem,
): ItemRecord {
  const { count, latest, curve } = sums;
  const basis = item.state.proposal?.basis ?? [];
  const known = latest.filter((one) => basis.includes(one.id));
  return {
    ...item,
    count,
    latest: [...latest],
    rests: known.length === basis.length ? known : restsOf(store, basis),
    curve: curve.points(),
    days: [...sums.days],
    mix: { ...sums.mix },
    suffered: new Map(sums.suffered),
    decisions: [...sums.decisions],
  };
}

/** The tries that a proposal rests on, where they lie further back. */
function restsOf({ log }: StudentStore, basis: readonly string[]): ItemRecord['rests'] {
  const found = log.find(basis as Parameters<typeof log.find>[0]);
  return foldItem(found).flatMap((one) => (one.kind === 'try' ? [one] : []));
}

/** Tempo at which an item begins for a student. */
export function startBpmOf(item: ItemRecord['item'], startBpm: number | undefined): number {
  return startLadder({ course: item.course, startBpm }).bpm;
}

/** Breaks and passes of a student over everything that was played. */
export function crossingCounts({ items }: Progress): readonly CrossingCount[] {
  return countCrossings(items.map((one) => one.sums.crossings));
}

/** A student's weak crossings in their places, weakest first, each place once, with its loop. */
export function weakPlaces(progress: Progress): readonly WeakPlace[] {
  const byItem = new Map<string, PlacedProgress>(progress.items.map((one) => [one.item.id, one]));
  const seen = new Set<string>();
  return weakCrossings(crossingCounts(progress)).flatMap((count): readonly WeakPlace[] => {
    const found = count.lately && byItem.get(count.lately.item);
    if (!count.lately || !found) return [];
    const { item, fitted, sums } = found;
    const { fromAt, toAt } = count.lately;
    const place = `${item.id} ${fromAt} ${toAt}`;
    if (seen.has(place)) return [];
    seen.add(place);
    const loop = bridgeLoop(fitted.whole, fromAt, toAt);
    const { played } = sums;
    if (!loop.ok || !played) return [];
    const { meter, barTicks } = played;
    const bar = Math.floor(toAt / barTicks) + 1;
    const at = { meter: formatMeter(meter), bar: played.bars > 1 ? bar : null };
    const id: ItemId = item.id;
    return [
      {
        ...{ count, item: id, name: item.name, beat: beatOf(played, toAt), loop: loop.value },
        place: { ...at, from: fromAt, to: toAt },
      },
    ];
  });
}

function beatOf(exercise: Exercise, at: number): number {
  return beatPlaces(exercise).findLastIndex((place) => place.at <= at);
}

/** Where a student's items stand, as needs are seen in them. */
export function itemStandings(
  progress: Progress,
  weak = weakPlaces(progress),
): readonly ItemStanding[] {
  return progress.items.map(({ item, sums }) => {
    const found = weak.find((one) => one.item === item.id);
    return {
      item: item.id,
      name: item.name,
      state: sums.followed.state,
      verdicts: sums.latest.flatMap((one) => verdictCounted(one, item.course.rule) ?? []),
      breaksAt: found ? { place: found.place, from: found.count.from, to: found.count.to } : null,
    };
  });
}

/** The last date of practice in what a student has now; null before the first. */
export function lastDayOf({ items }: Progress): Day | null {
  return items
    .flatMap(({ sums }) => sums.days.at(-1)?.day ?? [])
    .reduce<Day | null>((last, day) => (last === null || day > last ? day : last), null);
}
