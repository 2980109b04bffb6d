import { strokesMade } from '@/core/analysis';
import { ok, type Result } from '@/core/issue';
import {
  chooseSimpler,
  dosageNow,
  planTry,
  rungAt,
  type Dosage,
  type LadderState,
  type Rung,
} from '@/core/ladder';
import {
  checkSchedule,
  keepingShare,
  missedDays,
  needsKit,
  minutesOf,
  paceCounts,
  pacesOf,
  planToday,
  REST_SECONDS,
  USUAL_SCHEDULE,
  wayDone,
  workStateOf,
  type Schedule,
  type Surface,
  type PlannedExercise,
  type PlannedState,
} from '@/core/plan';
import { expand, type Exercise } from '@/core/recipe';
import {
  clockOf,
  daysAfter,
  isDue,
  itemKey,
  type ItemId,
  type OpenTry,
  type PersonId,
  type PlanItem,
  type Round,
  type RoundSlot,
  type StandItem,
  type StudentPlan,
} from '@/core/studio';
import { overDose } from '@/core/safety';
import { ticksToSeconds } from '@/core/time';
import { openStudent, type Student, type Teacher } from './authority';
import { progressOf, type PlacedProgress } from './progress';
import { practiceDay, standItems } from './standing';

/** A student's plan: a teacher sees all of the studio's, a student their own.
 * @returns issues of opening the student */
export function getPlan(me: Teacher | Student, studentId: PersonId): Result<StudentPlan> {
  const store = openStudent(me, studentId);
  return store.ok ? ok(planOf({ now: me.now, store: store.value }).plan) : store;
}

/** What a student sees of a day: the items, each where its ladder stands, the plan made of them, and tries that
 * are still to be judged. */
export function getDay(me: Student): Result<{
  readonly items: readonly StandItem[];
  readonly plan: StudentPlan;
  readonly open: readonly OpenTry[];
}> {
  return ok({ ...planOf(me), open: openTries(me) });
}

/** So many days back a try can still be remembered; common practice, no source. */
const REMEMBERED_DAYS = 7;

/** Tries of the last days that were played out and not judged, latest first. */
function openTries({ now, store }: Student): readonly OpenTry[] {
  const since = daysAfter(practiceDay({ now, store }), 1 - REMEMBERED_DAYS);
  return progressOf(store)
    .items.flatMap(({ item, sums }) =>
      sums.latest
        .filter((one) => one.verdict === null && !one.stopped && one.day >= since)
        .map(({ id, at, day, bpm, bars }) => ({ id, at, day, bpm, bars, name: item.name })),
    )
    .sort((a, b) => b.at - a.at);
}

/** A student’s plan, and where everything on the stand is. */
export function planOf({ now, store }: Pick<Student, 'now' | 'store'>): {
  readonly plan: StudentPlan;
  readonly items: readonly StandItem[];
} {
  const { id, name } = store.person;
  const today = practiceDay({ now, store });
  const stored = store.schedule();
  const schedule = stored ?? USUAL_SCHEDULE;
  const progress = progressOf(store);
  const { days: done } = progress;
  const items = standItems(progress, today);
  const practised = new Set(done.map((one) => one.day));
  const playable = progress.items.flatMap((placed, index): readonly Playable[] => {
    const item = items[index];
    const exercise = item && exerciseOf(item);
    return exercise ? [{ placed, item, exercise }] : [];
  });
  const paces = pacesOf(playable.map(({ placed }) => paceCounts(placed.sums.pace)));
  const places = new Map(playable.map(({ item }, index) => [item.item.id, index]));
  const works = playable.flatMap((one, index): readonly PlannedExercise[] => {
    const pace = paces[index];
    return pace ? [{ ...workOf(one, places), pace }] : [];
  });
  const keeps = keepingShare(schedule, practised, today);
  const plan: StudentPlan = {
    student: { id, name },
    planning: {
      works,
      states: playable.map((one, at) => workState(one, works[at])),
      schedule,
      today,
      keeps,
    },
    scheduled: stored !== null,
    items: playable.map(({ item }) => planItem(item)),
    done,
    way: wayDone(
      playable.map(({ placed: { sums } }) => ({
        way: sums.way,
        rungs: sums.followed.state.rungs.length,
      })),
    ),
    missed: missedDays(schedule, practised, today),
    clock: clockOf(now(), store.studio().zone),
  };
  return { plan, items };
}

/** An item that can be played, with what is played of it now. */
interface Playable {
  readonly placed: PlacedProgress;
  readonly item: StandItem;
  readonly exercise: Exercise;
}

/** Sets when a student practises, for the teacher and for the student.
 * @returns issues of opening the student and of `checkSchedule` */
export function setSchedule(
  me: Teacher | Student,
  studentId: PersonId,
  schedule: Schedule,
): Result<null> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  const today = practiceDay({ now: me.now, store });
  const checked = checkSchedule(schedule, today, store.schedule()?.target ?? null);
  if (!checked.ok) return checked;
  const since = checked.value.since ?? today;
  store.setSchedule({ ...checked.value, since });
  return ok(null);
}

/** What a student has minutes for just now, and on what; the rest is the schedule's. */
export interface Now {
  readonly minutes: number;
  readonly on: Surface;
}

/** What to play at the stand: today's plan, what there is time for now, or one item first. With nothing
 * planned, everything that is due, once. In a lesson the teacher asks.
 * @returns issues of opening the student */
export function getRound(
  me: Teacher | Student,
  studentId: PersonId,
  { item = null, now = null }: { item?: string | null; now?: Now | null } = {},
): Result<Round> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const { items, plan } = planOf({ now: me.now, store: opened.value });
  const { planning, clock } = plan;
  const { works, today } = planning;
  const entries = planToday(planning, now && { ...now, at: clock });
  const planned = entries.map(({ work, kind, on, cutTo }): RoundSlot => {
    return { key: works[work]?.id ?? null, kind, on, cutTo };
  });
  const due = items.filter(isDue);
  const slots = startWith(
    planned.length > 0 ? planned : due.map((one) => onceOf(itemKey(one))),
    due.find((one) => one.item.id === item),
  );
  return ok({
    items,
    slots,
    day: today,
    caution: overDose(minutesOf(entries), planning.schedule.noise),
  });
}

function onceOf(key: string): RoundSlot {
  return { key, kind: 'new', on: 'kit', cutTo: null };
}

/** The round with all tries of an item first, the others in their order; once where it is not in the round. */
function startWith(slots: readonly RoundSlot[], item: StandItem | undefined): readonly RoundSlot[] {
  if (!item) return slots;
  const key = itemKey(item);
  const mine = slots.filter((slot) => slot.key === key);
  const others = slots.filter((slot) => slot.key !== key);
  const from = others.findIndex((slot) => slot.key !== null);
  const later = from < 0 ? [] : others.slice(from);
  // No break follows another.
  const rest = later.filter((slot, at) => slot.key !== null || later[at - 1]?.key !== null);
  return [...(mine.length > 0 ? mine : [onceOf(key)]), ...rest];
}

function exerciseOf({ plays }: StandItem): Exercise | null {
  const made = expand(plays);
  return made.ok ? made.value : null;
}

function workOf(
  { item: stands, exercise, placed }: Playable,
  places: ReadonlyMap<ItemId, number>,
): Omit<PlannedExercise, 'pace'> {
  const { item, state } = stands;
  const { facts } = placed.fitted;
  const { place } = item;
  const { dosage, rule, follow, headStart } = item.course;
  const full = placed.fitted.exercise ?? exercise;
  const secondsOn = (rung: Rung, index: number) =>
    planTry(index === state.rung ? exercise : full, rung, dosageOn(rung, state, index, dosage))
      .seconds;
  const rung = rungAt(state.rungs, state.rung);
  const cycleSeconds = ticksToSeconds(full.cycleTicks, planTry(full, rung, dosage).tempo);
  return {
    id: itemKey(stands),
    name: item.name,
    after: item.after.flatMap((id) => places.get(id) ?? []),
    needsKit: !isQuiet(rung) && (place === 'derived' ? needsKit(exercise) : place === 'kit'),
    trySeconds: state.rungs.map(secondsOn),
    tempi: state.rungs.map(({ bpm }) => bpm),
    cuts: dosage.kind === 'minutes' && state.rungs.every((one) => !one.ramp) && !state.climbing,
    rule,
    varies: chooseSimpler(facts, []) !== null,
    headStart: headStart === true,
    waits: follow === 'proposes',
    weight: strokesMade(full) / cycleSeconds,
  };
}

function dosageOn(rung: Rung, state: LadderState, index: number, dosage: Dosage) {
  return index === state.rung ? dosageNow(state, dosage) : (rung.dosage ?? dosage);
}

/** Rungs on the pad, on the lap or sung need no kit. */
function isQuiet({ stage }: Rung): boolean {
  return stage?.kind === 'manner' && ['pad', 'lap', 'voice'].includes(stage.manner);
}

/** What was stopped counts as far as it was played, a whole try for each that it comes to, half of the last or more. */
function workState({ placed, item }: Playable, work?: PlannedExercise): PlannedState {
  const { tries, seconds, stopped } = item.today;
  const whole = work?.trySeconds[item.state.rung] ?? Infinity;
  const { shaky, lost } = placed.sums.mix;
  return workStateOf(item.state, {
    missed: shaky + lost > 0,
    today: {
      tries: tries - stopped.tries + Math.round(stopped.seconds / whole),
      seconds: seconds + tries * REST_SECONDS,
    },
  });
}

function planItem({ assignmentId, program, plays, why, item, state }: StandItem): PlanItem {
  const rung = rungAt(state.rungs, state.rung).asks;
  return { assignmentId, program, plays, why, item, rung, bpm: state.bpm };
}
