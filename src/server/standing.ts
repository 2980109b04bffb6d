import { cuesOf } from '@/core/analysis';
import {
  countCrossings,
  sayCrossing,
  weakCrossings,
  type CrossingCount,
  type PlayedTry,
} from '@/core/breaks';
import type { KitProfile } from '@/core/kit';
import {
  beatPlaces,
  bridgeLoop,
  factsOf,
  NO_FACTS,
  reasonText,
  recipeOnRung,
  replay,
  rungAt,
  startLadder,
  type ExerciseFacts,
  type Following,
  type LadderState,
  type LogEvent,
  type Rung,
} from '@/core/ladder';
import { countPace, countWay, type Climbed, type PaceCounts } from '@/core/plan';
import { expand, type ClosedRecipe, type Exercise } from '@/core/recipe';
import type {
  Day,
  ItemId,
  ItemRecord,
  LoggedDecision,
  LoggedTry,
  Person,
  Viewer,
  WeakPlace,
} from '@/core/studio';
import { bpm, countName, parseMeter, tempoFor } from '@/core/time';
import { must } from '@/core/issue';
import { queries } from '@/db';
import type { Context } from './context';

type Assigned = ReturnType<typeof queries.listGiven>[number];
type ItemLog = ReturnType<ReturnType<typeof queries.listLog>['get']>;

/** A recipe on a student's own kit, all members of a sequence too. */
export function onKit(recipe: ClosedRecipe, kit: KitProfile | null): ClosedRecipe {
  if (!kit) return recipe;
  const own = { content: { ...kit, voices: [...kit.voices] } };
  const { then } = recipe;
  if (!then) return { ...recipe, kit: own };
  const members = then.members.map((one) => ({ ...one, recipe: { ...one.recipe, kit: own } }));
  return { ...recipe, kit: own, then: { ...then, members } };
}

/** What a recipe plays on a kit, and what a log has to know of it. */
interface Fitted {
  readonly whole: ClosedRecipe;
  readonly exercise: Exercise | null;
  readonly facts: ExerciseFacts;
}

/** Recipes are expanded once for each kit: rosters ask for the same ones over and over. */
const FITTED = new WeakMap<ClosedRecipe, Map<string, Fitted>>();

export function fittedOf(recipe: ClosedRecipe, kit: KitProfile | null): Fitted {
  const known = FITTED.get(recipe) ?? new Map<string, Fitted>();
  FITTED.set(recipe, known);
  const key = JSON.stringify(kit);
  let fitted = known.get(key);
  if (!fitted) {
    const whole = onKit(recipe, kit);
    const made = expand(whole);
    const exercise = made.ok ? made.value : null;
    const facts = exercise ? factsOf(exercise, whole) : NO_FACTS;
    fitted = { whole, exercise, facts };
    known.set(key, fitted);
  }
  return fitted;
}

/** What was played on a rung: steps and variations are exercises of their own. */
const PLAYED = new WeakMap<ClosedRecipe, Map<string, Exercise | null>>();

function playedOn(
  fitted: Fitted,
  rung: Rung,
  variation: LadderState['variation'],
): Exercise | null {
  if (!rung.stage && !variation) return fitted.exercise;
  const known = PLAYED.get(fitted.whole) ?? new Map<string, Exercise | null>();
  PLAYED.set(fitted.whole, known);
  const key = `${rung.stage ? rung.key : ''} ${JSON.stringify(variation)}`;
  let played = known.get(key);
  if (played === undefined) {
    const recipe = recipeOnRung(fitted.whole, rung, variation);
    const made = recipe.ok ? expand(recipe.value) : recipe;
    played = made.ok ? made.value : null;
    known.set(key, played);
  }
  return played;
}

/** Tries and decisions of an item as one log, oldest first. */
export function eventsOf(log: NonNullable<ItemLog>): readonly LogEvent[] {
  const { tries, decisions } = log;
  if (decisions.length === 0) return tries;
  const takenBack = decisions
    .filter((one) => one.takenBack)
    .map(({ id, day }) => ({ kind: 'taken-back' as const, id: `${id} back`, day, decisionId: id }));
  return [...[...tries, ...decisions].sort(inOrder), ...takenBack];
}

function inOrder(a: { day: Day; seq: number }, b: { day: Day; seq: number }): number {
  return a.day === b.day ? a.seq - b.seq : a.day < b.day ? -1 : 1;
}

/** An item's record, its tries with what was played in each, and how they went. */
export interface Standing {
  readonly record: ItemRecord;
  readonly played: readonly PlayedTry[];
  readonly pace: PaceCounts;
  /** How far the ladder was, by date. */
  readonly way: readonly Climbed[];
}

interface Seen {
  readonly context: Context;
  readonly viewer: Viewer;
  readonly student: Pick<Person, 'id' | 'kit'>;
  readonly today: Day;
}

/** Everything a student has to do, in the order of programs and items, replayed from the log. The log
 * belongs to student and item: a program taken back and given again goes on where it was. */
export function standingsOf({ context, viewer, student, today }: Seen): readonly Standing[] {
  const given = queries.listGiven(context.db, viewer.studioId, student.id);
  const names = queries.programNames(
    context.db,
    given.map((one) => one.programId),
  );
  const logs = queries.listLog(context.db, student.id);
  const standings = given.flatMap((one) =>
    programStandings(context, one, names.get(one.programId) ?? '', student.kit, logs, today),
  );
  const passed = new Set(
    standings.flatMap(({ record }) => (record.state.passed ? [record.item.id] : [])),
  );
  const nameOf = new Map(standings.map(({ record }) => [record.item.id, record.item.name]));
  return standings.map((one) => {
    const open = one.record.item.after.filter((id) => !passed.has(id) && nameOf.has(id));
    const waitsFor = open.map((id) => nameOf.get(id) ?? '');
    return open.length === 0 ? one : { ...one, record: { ...one.record, waitsFor } };
  });
}

function programStandings(
  context: Context,
  given: Assigned,
  program: string,
  kit: KitProfile | null,
  logs: ReturnType<typeof queries.listLog>,
  today: Day,
): readonly Standing[] {
  const content = queries.findContent(context.db, given.programId, given.version);
  if (!content) return [];
  return content.outline.sections.flatMap((section) =>
    section.items.flatMap((item) => {
      const recipe = content.recipes[item.id];
      if (!recipe) return [];
      return [
        standingOf(
          { item, section: section.name, program, recipe, given, kit, today },
          logs.get(item.id),
        ),
      ];
    }),
  );
}

interface ItemPlace {
  readonly item: ItemRecord['item'];
  readonly section: string;
  readonly program: string;
  readonly recipe: ClosedRecipe;
  readonly given: Assigned;
  readonly kit: KitProfile | null;
  readonly today: Day;
}

/** The exercise was changed since, and the step or variation cannot be made of it any more. */
const CANNOT_BE_VARIED =
  'What was to be played instead cannot be made of this exercise any more: play all of it.';

const NO_LOG = { tries: [] as LoggedTry[], decisions: [] as LoggedDecision[] };

/** One item of a student, replayed. */
export function standingOf(place: ItemPlace, log: ItemLog = NO_LOG): Standing {
  const { item, section, program, recipe, given, kit, today } = place;
  const fitted = fittedOf(recipe, kit);
  const following: Following = {
    course: item.course,
    facts: fitted.facts,
    startBpm: given.starts[item.id],
  };
  const meter = must(parseMeter(recipe.meter));
  const played: PlayedTry[] = [];
  const pace = countPace();
  const way = countWay();
  const state = replay(following, eventsOf(log), (entry, before) => {
    pace.watch(entry, before);
    way.watch(entry, before);
    const exercise = playedOn(fitted, rungAt(before.rungs, before.rung), before.variation);
    if (!exercise) return;
    const tempo = tempoFor(meter, bpm(entry.bpm));
    const { verdict, broke } = entry;
    played.push({ item: item.id, exercise, tempo, verdict, broke });
  });
  const rung = rungAt(state.rungs, state.rung);
  const now = playedOn(fitted, rung, state.variation);
  const asked = recipeOnRung(fitted.whole, rung, state.variation);
  const plays = asked.ok ? asked.value : fitted.whole;
  const ofToday = log.tries.filter((one) => one.day === today);
  const seconds = ofToday.reduce((sum, one) => sum + one.seconds, 0);
  const cues =
    item.cues.length > 0 || !now
      ? item.cues
      : cuesOf(now, tempoFor(meter, state.bpm)).map((cue) => cue.says);
  const record: ItemRecord = {
    assignmentId: given.assignmentId,
    program,
    section,
    item,
    plays,
    whole: fitted.whole,
    state,
    reason: asked.ok ? reasonText(state, item.course) : CANNOT_BE_VARIED,
    cues,
    waitsFor: [],
    resting: state.keep !== null && state.keep.due > today,
    today: { tries: ofToday.length, seconds },
    tries: log.tries,
    decisions: log.decisions,
  };
  return { record, played, pace: pace.counts(), way: way.way(state) };
}

/** Tempo at which an item begins for a student. */
export function startBpmOf(item: ItemRecord['item'], startBpm: number | undefined): number {
  return startLadder({ course: item.course, startBpm }).bpm;
}

/** Breaks and passes of a student over everything that was played. */
export function crossingCounts(standings: readonly Standing[]): readonly CrossingCount[] {
  return countCrossings(standings.flatMap((one) => one.played));
}

/** A student's weak crossings in their places, weakest first, each place once, with its loop. */
export function weakPlaces(standings: readonly Standing[]): readonly WeakPlace[] {
  const byItem = new Map<string, Standing>(standings.map((one) => [one.record.item.id, one]));
  const seen = new Set<string>();
  return weakCrossings(crossingCounts(standings)).flatMap((count): readonly WeakPlace[] => {
    const found = count.lately && byItem.get(count.lately.item);
    if (!count.lately || !found) return [];
    const { record } = found;
    const { fromAt, toAt } = count.lately;
    const place = `${record.item.id} ${fromAt} ${toAt}`;
    if (seen.has(place)) return [];
    seen.add(place);
    const loop = bridgeLoop(record.whole, fromAt, toAt);
    const crossed = found.played.at(-1);
    if (!loop.ok || !crossed) return [];
    const { meter, barTicks } = crossed.exercise;
    const bar = Math.floor(toAt / barTicks) + 1;
    const bars = crossed.exercise.bars > 1 ? `bar ${bar}, ` : '';
    const where = `${bars}${countName(fromAt, meter)} → ${countName(toAt, meter)}`;
    const id: ItemId = record.item.id;
    const beat = beatOf(crossed.exercise, toAt);
    return [{ count, item: id, name: record.item.name, where, beat, loop: loop.value }];
  });
}

function beatOf(exercise: Exercise, at: number): number {
  return beatPlaces(exercise).findLastIndex((place) => place.at <= at);
}

/** @example '3 → &, right hand → left foot' */
export function sayWeakPlace({ where, count }: Pick<WeakPlace, 'where' | 'count'>): string {
  return `${where}, ${sayCrossing(count)}`;
}
