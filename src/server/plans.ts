import { strokesMade } from '@/core/analysis';
import { fail, ok, type Result } from '@/core/issue';
import { dosageNow, planTry, rungAt, type LadderState, type Rung } from '@/core/ladder';
import {
  checkSchedule,
  keepingShare,
  missedDays,
  needsKit,
  minutesOf,
  pacesOf,
  planToday,
  REST_SECONDS,
  USUAL_SCHEDULE,
  wayDone,
  workStateOf,
  type Schedule,
  type Surface,
  type Work,
  type WorkState,
} from '@/core/plan';
import { expand, type Exercise } from '@/core/recipe';
import {
  clockOf,
  isDue,
  keyOf,
  type ItemId,
  type ItemRecord,
  type Person,
  type PersonId,
  type PlanItem,
  type Round,
  type RoundSlot,
  type StandItem,
  type StudentPlan,
  type Viewer,
} from '@/core/studio';
import { sayDose } from '@/core/safety';
import { ticksToSeconds } from '@/core/time';
import { queries } from '@/db';
import type { Context } from './context';
import { studentOnly } from './guard';
import { practiceDay, standItemOf } from './practice';
import { fittedOf, standingsOf, type Standing } from './standing';

/** A student's plan: a teacher sees all of the studio's, a student their own. */
export function getPlan(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
): Result<StudentPlan> {
  const student = planned(context, viewer, studentId);
  return student.ok ? ok(planOf(context, viewer, student.value).plan) : student;
}

/** What a student sees of a day: the items, each where its ladder stands, and the plan made of them. */
export function getDay(
  context: Context,
  viewer: Viewer,
): Result<{ readonly items: readonly StandItem[]; readonly plan: StudentPlan }> {
  const refused = studentOnly(viewer, 'page');
  if (refused) return refused;
  const student = planned(context, viewer, viewer.personId);
  if (!student.ok) return student;
  const { plan, standings } = planOf(context, viewer, student.value);
  return ok({ plan, items: standings.map(({ record }) => standItemOf(record)) });
}

function planOf(
  context: Context,
  viewer: Viewer,
  student: Person,
): { readonly plan: StudentPlan; readonly standings: readonly Standing[] } {
  const { id, name } = student;
  const today = practiceDay(context, viewer);
  const stored = queries.findSchedule(context.db, id);
  const schedule = stored ?? USUAL_SCHEDULE;
  const standings = standingsOf({ context, viewer, student, today });
  const done = queries.listDoneDays(context.db, id);
  const practised = new Set(done.map((one) => one.day));
  const playable = standings.flatMap((standing) => {
    const exercise = exerciseOf(standing.record);
    return exercise ? [{ ...standing, exercise }] : [];
  });
  const paces = pacesOf(playable.map((one) => one.pace));
  const places = new Map(playable.map((one, index) => [one.record.item.id, index]));
  const works = playable.flatMap((one, index): readonly Work[] => {
    const pace = paces[index];
    return pace ? [{ ...workOf(one.record, one.exercise, places), pace }] : [];
  });
  const states = playable.map(workState);
  const plan: StudentPlan = {
    student: { id, name },
    planning: { works, states, schedule, today },
    scheduled: stored !== null,
    items: playable.map(({ record }) => planItem(record)),
    done,
    way: wayDone(playable.map(({ way, record }) => ({ way, rungs: record.state.rungs.length }))),
    missed: missedDays(schedule, practised, today),
    keeps: keepingShare(schedule, practised, today),
    clock: clockOf(context.now(), queries.findStudio(context.db, viewer.studioId)?.zone ?? 'UTC'),
  };
  return { plan, standings };
}

/** Sets when a student practises, for the teacher and for the student.
 * @returns the issues of `checkSchedule` */
export function setSchedule(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  schedule: Schedule,
): Result<null> {
  const student = planned(context, viewer, studentId);
  if (!student.ok) return student;
  const today = practiceDay(context, viewer);
  const before = queries.findSchedule(context.db, studentId)?.target ?? null;
  const checked = checkSchedule(schedule, today, before);
  if (!checked.ok) return checked;
  const since = checked.value.since ?? today;
  queries.setSchedule(context.db, studentId, { ...checked.value, since });
  return ok(null);
}

/** What a student has minutes for just now, and on what; the rest is the schedule's. */
export interface Now {
  readonly minutes: number;
  readonly on: Surface;
}

/** What to play at the stand: today's plan, what there is time for now, or one item first. With nothing
 * planned, everything that is due, once. */
export function getRound(
  context: Context,
  viewer: Viewer,
  { item = null, now = null }: { item?: string | null; now?: Now | null } = {},
): Result<Round> {
  const day = getDay(context, viewer);
  if (!day.ok) return day;
  const { items, plan } = day.value;
  const { planning, clock } = plan;
  const { works, today } = planning;
  const entries = planToday(planning, now && { ...now, at: clock });
  const planned = entries.map(({ work, kind, on, cutTo }): RoundSlot => {
    return { key: works[work]?.id ?? null, kind, on, cutTo };
  });
  const due = items.filter(isDue);
  const slots = startWith(
    planned.length > 0 ? planned : due.map((one) => onceOf(keyOf(one))),
    due.find((one) => one.item.id === item),
  );
  return ok({
    items,
    slots,
    day: today,
    caution: sayDose(minutesOf(entries), planning.schedule.noise),
  });
}

function onceOf(key: string): RoundSlot {
  return { key, kind: 'new', on: 'kit', cutTo: null };
}

/** The round from an item on, that which came before it last; once where it is not in the round. */
function startWith(slots: readonly RoundSlot[], item: StandItem | undefined): readonly RoundSlot[] {
  if (!item) return slots;
  const at = slots.findIndex((slot) => slot.key === keyOf(item));
  return at < 0 ? [onceOf(keyOf(item)), ...slots] : [...slots.slice(at), ...slots.slice(0, at)];
}

function planned(context: Context, viewer: Viewer, studentId: PersonId) {
  const student = queries.findPerson(context.db, studentId);
  if (!student || student.studioId !== viewer.studioId || student.role !== 'student') {
    return fail({ code: 'not-found', path: ['id'], what: 'student' });
  }
  const own = viewer.role === 'teacher' || viewer.personId === studentId;
  return own ? ok(student) : fail({ code: 'not-yours', path: ['id'], what: 'plan' });
}

function exerciseOf({ plays }: ItemRecord): Exercise | null {
  const made = expand(plays);
  return made.ok ? made.value : null;
}

function workOf(
  record: ItemRecord,
  exercise: Exercise,
  places: ReadonlyMap<ItemId, number>,
): Omit<Work, 'pace'> {
  const { item, state, whole } = record;
  const { place } = item;
  const { dosage, rule } = item.course;
  const full = fittedOf(whole, null).exercise ?? exercise;
  const secondsOn = (rung: Rung, index: number) =>
    planTry(index === state.rung ? exercise : full, rung, dosageOn(rung, state, index, dosage))
      .seconds;
  const rung = rungAt(state.rungs, state.rung);
  const cycleSeconds = ticksToSeconds(full.cycleTicks, planTry(full, rung, dosage).tempo);
  return {
    id: keyOf(record),
    name: item.name,
    after: item.after.flatMap((id) => places.get(id) ?? []),
    needsKit: !isQuiet(rung) && (place === 'derived' ? needsKit(exercise) : place === 'kit'),
    trySeconds: state.rungs.map(secondsOn),
    cuts: dosage.kind === 'minutes' && state.rungs.every((one) => !one.ramp) && !state.climbing,
    clean: rule.clean,
    lost: rule.lost,
    weight: strokesMade(full) / cycleSeconds,
  };
}

function dosageOn(
  rung: Rung,
  state: LadderState,
  index: number,
  dosage: ItemRecord['item']['course']['dosage'],
) {
  return index === state.rung ? dosageNow(state, dosage) : (rung.dosage ?? dosage);
}

/** Rungs on the pad, on the lap or sung need no kit. */
function isQuiet({ stage }: Rung): boolean {
  return stage?.kind === 'manner' && ['pad', 'lap', 'voice'].includes(stage.manner);
}

function workState({ record }: Standing): WorkState {
  const { tries, seconds } = record.today;
  return workStateOf(record.state, { tries, seconds: seconds + tries * REST_SECONDS });
}

function planItem(record: ItemRecord): PlanItem {
  const { assignmentId, program, plays, reason, item, state } = record;
  const rung = rungAt(state.rungs, state.rung).says;
  return { assignmentId, program, plays, reason, item, rung, bpm: state.bpm };
}
