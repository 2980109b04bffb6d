import { seeded } from '@/core/chance';
import { must } from '@/core/issue';
import type { EntryKind, Posted, Verdict } from '@/core/log';
import { dosageNow, planTry, rungAt, rungsOf, type Course } from '@/core/ladder';
import { expand } from '@/core/recipe';
import {
  isDue,
  type EntryId,
  type ExerciseId,
  type PersonId,
  type ProgramId,
  type SessionId,
  type StandItem,
} from '@/core/studio';
import { newId, type Context } from '../context';
import { saveExercise } from '../exercises';
import { saveFamily } from '../families';
import { saveMaterial } from '../materials';
import { listUnclaimed, setDemo, together } from '@/db';
import { asStudent, asTeacher, type Student, type Teacher } from '../authority';
import { appendEntries } from '../log';
import { setSchedule } from '../plans';
import { practiceDay } from '../standing';
import { addItem, createProgram, giveProgram } from '../programs';
import { getToday, setKit } from '../students';
import { addStudent, openStudio, viewerOf } from '../studios';
import { EXERCISES, OWN_MATERIALS, PROGRAMS, recipeOf, STUDIO, type ExerciseKey } from './data';
import { scheduleOf, STUDENTS, type StudentPlan } from './students';
import { FAMILIES } from './families';

const DAY_MS = 24 * 3600 * 1000;
const WEEKS = 6;
/** Chosen so that the log tells the scenario's story: one is stuck, the others get on. */
const SEED = 101;

/** How many bpm around the edge of what they can play a student is unsure. */
const DOUBT_BPM = 4;

/** Fills an empty file with the demo studio and six weeks of practice that end yesterday. All goes
 * through the use cases, with a clock of its own; the same instant gives the same log.
 * @param endMs now, epoch ms */
export function seedDemo(db: Context['db'], endMs: number, zone: string): void {
  let clock = endMs - WEEKS * 7 * DAY_MS;
  const context: Context = { db, now: () => clock };
  together(db, () => {
    const opened = must(openStudio(context, { ...STUDIO, zone, demo: true }));
    const teacher = must(asTeacher(context, viewerOf(context, opened)));
    const programs = makePrograms(teacher, () => (clock += 1000));
    for (const own of OWN_MATERIALS) must(saveMaterial(teacher, { id: null, ...own }));
    for (const one of FAMILIES) must(saveFamily(teacher, { id: null, ...one }));
    const starts = clock;
    STUDENTS.forEach((plan, index) => {
      clock = starts + index * 60_000;
      const student = must(addStudent(teacher, plan));
      const program = programs.get(plan.program);
      must(setKit(teacher, student, plan.kit));
      if (program) must(giveProgram(teacher, program, student));
      const stream = seeded(SEED + index);
      const me = must(asStudent(context, viewerOf(context, student)));
      practise(plan, teacher, me, stream, (at) => {
        clock = at;
      });
      clock = endMs - DAY_MS;
      const today = practiceDay(teacher, endMs);
      must(setSchedule(teacher, student, scheduleOf(plan, today)));
      for (const text of plan.notes) post(teacher, student, { kind: 'note', body: { text } });
    });
  });

  function practise(
    plan: StudentPlan,
    teacher: Teacher,
    me: Student,
    random: () => number,
    setClock: (at: number) => void,
  ): void {
    const firstDay = Math.floor((endMs - WEEKS * 7 * DAY_MS) / DAY_MS) + 1;
    const reach = new Map<string, number>();
    for (let day = firstDay; (day + 1) * DAY_MS < endMs; day += 1) {
      if (random() > plan.daysAWeek / 7) continue;
      let at = day * DAY_MS + (16 + random() * 3) * 3600 * 1000;
      const session = newId<'session'>(me);
      setClock(Math.round(at));
      answer(teacher, me);
      for (let round = 0; round < plan.roundsADay; round += 1) {
        for (const item of must(getToday(me))) {
          if (!isDue(item)) continue;
          setClock(Math.round(at));
          at += playOnce(me, plan, item, session, reach, random) + 40_000;
        }
      }
    }
  }
}

/** An entry without what is the same for all of them. */
type Said = { [Kind in EntryKind]: Omit<Posted<Kind>, 'id' | 'agoMs'> }[EntryKind];

/** Puts an entry into the log. @returns its id */
function post(me: Teacher | Student, student: PersonId, said: Said): EntryId {
  const id = newId<'entry'>(me);
  const { answers } = must(appendEntries(me, student, [{ ...said, id, agoMs: 0 }]));
  for (const { result } of answers) must(result);
  return id;
}

/** The teacher says yes to the next rung and to one lower; what is stuck waits for a lesson. */
function answer(teacher: Teacher, student: Student): void {
  for (const { assignmentId, item, state } of must(getToday(student))) {
    const proposal = state.proposal?.kind;
    if (proposal !== 'advance' && proposal !== 'lower') continue;
    const place = { assignmentId, itemId: item.id, sessionId: null };
    post(teacher, student.store.id, {
      kind: 'decided',
      ...place,
      body: { does: 'accept', proposal },
    });
  }
}

function makePrograms(teacher: Teacher, later: () => void): ReadonlyMap<string, ProgramId> {
  const exercises = new Map<ExerciseKey, ExerciseId>();
  for (const key of Object.keys(EXERCISES) as ExerciseKey[]) {
    const plan = EXERCISES[key];
    later();
    const input = { id: null, name: plan.name, recipe: recipeOf(plan) };
    exercises.set(key, must(saveExercise(teacher, input)).id);
  }
  return new Map(
    PROGRAMS.map((plan) => {
      later();
      const program = must(createProgram(teacher, plan.name));
      for (const item of plan.items) {
        const exercise = exercises.get(item.exercise);
        if (exercise) must(addItem(teacher, program, exercise, item.course));
      }
      return [plan.name, program] as const;
    }),
  );
}

/** One try and what suffered in it. @returns ms that it took */
function playOnce(
  me: Student,
  plan: StudentPlan,
  stand: StandItem,
  sessionId: SessionId,
  reaches: Map<string, number>,
  random: () => number,
): number {
  const { item, state } = stand;
  const key = exerciseKeyOf(item.name);
  const wall = (key && plan.walls[key]) ?? Infinity;
  const before = reaches.get(item.id) ?? startReach(item.course, plan);
  const reach = Math.min(wall, before + plan.gain * (0.5 + random()));
  reaches.set(item.id, reach);
  const verdict = judge(state.bpm - reach, random);
  const exercise = must(expand(stand.plays));
  const rung = rungAt(state.rungs, state.rung);
  const { bars, seconds } = planTry(exercise, rung, dosageNow(state, item.course.dosage));
  const { assignmentId } = stand;
  const id = post(me, me.store.id, {
    kind: 'try',
    assignmentId,
    itemId: item.id,
    sessionId,
    body: { bpm: state.bpm, rung: rung.key, verdict, bars, seconds },
  });
  const breaks = key && plan.breaks[key];
  if (verdict !== 'clean' && breaks !== undefined && !state.variation && random() < 0.85) {
    post(me, me.store.id, { kind: 'broke', about: id, body: { beat: breaks ?? 0 } });
  }
  const suffers = plan.suffers[Math.floor(random() * plan.suffers.length)];
  if (verdict !== 'clean' && suffers && random() < 0.8) {
    const [what, limb] = suffers;
    post(me, me.store.id, { kind: 'suffered', about: id, body: { what, limb } });
  }
  return seconds * 1000;
}

function exerciseKeyOf(name: string): ExerciseKey | null {
  const found = (Object.keys(EXERCISES) as ExerciseKey[]).find(
    (key) => EXERCISES[key].name === name,
  );
  return found ?? null;
}

function startReach({ ladder }: Course, plan: StudentPlan): number {
  const rungs = rungsOf(ladder).map((rung) => rung.bpm);
  const [least, most] = [Math.min(...rungs), Math.max(...rungs)];
  return least + plan.reach * (most - least);
}

/** @param over bpm beyond what the student can play; negative is within reach */
function judge(over: number, random: () => number): Verdict {
  const clean = 1 / (1 + Math.exp(over / DOUBT_BPM));
  const drawn = random();
  if (drawn < clean * 0.94) return 'clean';
  return drawn < clean + (1 - clean) * 0.45 ? 'shaky' : 'lost';
}

/** Marks the demo studio of a file as one to look around in, as long as nobody has an account in it. */
export function markDemo(db: Context['db']): void {
  for (const { id, name } of listUnclaimed(db)) if (name === STUDIO.studio) setDemo(db, id);
}
