import { daysAfter, dayNumber } from '../calendar';
import { strokesMade } from '../analysis';
import {
  advance,
  chooseSimpler,
  comeBack,
  factsOf,
  planTry,
  rungsOf,
  startCounter,
  type Counter,
  type Course,
} from '../ladder';
import { must } from '../issue';
import {
  keepingShare,
  needsKit,
  nothingSeen,
  openAhead,
  paceCounts,
  pacesOf,
  planDays,
  seePace,
  REST_SECONDS,
  type Forecasting,
  type PaceSeen,
  type PlannedExercise,
  type Schedule,
} from '../plan';
import { expand, type ClosedRecipe } from '../recipe';
import { ticksToSeconds } from '../time';
import { modelStudent, type Learner } from './students';

/** An exercise of a program, on its ladder. */
export interface ProgramItem {
  readonly recipe: ClosedRecipe;
  readonly course: Course;
  /** Places of those that come first. */
  readonly after: readonly number[];
}

interface Practising {
  readonly items: readonly ProgramItem[];
  readonly learner: Learner;
  readonly schedule: Schedule;
  /** Share of the planned days that are kept. */
  readonly keeps: number;
  /** A Monday, say. */
  readonly from: string;
  readonly days: number;
  /** Days after which somebody looks at the forecast. */
  readonly looks: readonly number[];
  readonly random: () => number;
}

/** What is known at a look, as the app would ask its forecast. */
type Look = Omit<Forecasting, 'seed'> & { readonly after: number };

interface Practised {
  /** By exercise the number of days from the first to that on which it was through; -1 for never. */
  readonly through: readonly number[];
  readonly looks: readonly Look[];
}

type Sketch = Omit<PlannedExercise, 'pace'>;

/** Lets a model student practise a program, day by day, as the app plans it: all that a day has, and what it has
 * then, until it has nothing more. */
export function practise(asked: Practising): Practised {
  const { items, learner, schedule, keeps, from, days, looks, random } = asked;
  const works = items.map(sketchOf);
  const tempi = items.map(({ course }) => rungsOf(course.ladder).map(({ bpm }) => bpm));
  const student = modelStudent(
    learner,
    tempi.map((of) => ({ start: of[0] ?? 60, target: Math.max(...of) })),
    random,
  );
  const counters = items.map(({ course }) => ({
    ...startCounter(0, course.climb),
    missed: false,
  }));
  const seen: PaceSeen[] = items.map(nothingSeen);
  const through = items.map(() => -1);
  const practised = new Set<string>();
  const found: Look[] = [];
  const planning = (index: number, today: readonly { tries: number; seconds: number }[]) => {
    const paces = pacesOf(seen.map(paceCounts));
    return {
      works: works.map((work, at) => ({ ...work, pace: paces[at] })) as PlannedExercise[],
      states: counters.map((counter, at) => ({
        ...counter,
        today: today[at] ?? { tries: 0, seconds: 0 },
      })),
      schedule,
      today: daysAfter(from, index),
    };
  };
  for (let index = 0; index < days; index += 1) {
    const day = daysAfter(from, index);
    if (looks.includes(index)) {
      const kept = keepingShare({ ...schedule, since: from }, practised, day);
      found.push({ ...planning(index, []), keeps: kept, after: index });
    }
    const played = new Set<number>();
    if (random() < keeps) {
      counters.forEach((counter, at) =>
        comeBack(counter, items[at]?.course.rule ?? {}, dayNumber(day)),
      );
      const today = items.map(() => ({ tries: 0, seconds: 0 }));
      for (let goesOn = true; goesOn;) {
        goesOn = false;
        const plan = planDays({ ...planning(index, today), count: 1 }).days[0];
        for (const { work, kind, playSeconds } of plan?.entries ?? []) {
          const counter = counters[work];
          const sketch = works[work];
          const of = today[work];
          if (!counter || !sketch || !of || (kind === 'new' && counter.passed)) continue;
          const bpm = tempi[work]?.[counter.rung] ?? 60;
          const simpler = counter.form === 'simpler' ? 10 : 0;
          const verdict = student.play(work, bpm - simpler, playSeconds / 60);
          seePace(seen[work] ?? nothingSeen(), { verdict, seconds: playSeconds }, counter);
          if (verdict !== 'clean') counter.missed = true;
          const { passed } = counter;
          step(counter, verdict, sketch, dayNumber(day));
          if (counter.passed && through[work] === -1) through[work] = index;
          if (counter.passed && !passed) openAhead(works, counters, work);
          of.tries += 1;
          of.seconds += playSeconds + REST_SECONDS;
          played.add(work);
          goesOn = true;
        }
      }
      if (played.size > 0) practised.add(day);
    }
    student.sleep(played);
    if (through.every((at) => at >= 0) && index >= Math.max(...looks)) break;
  }
  return { through, looks: found };
}

function step(
  counter: Counter,
  verdict: 'clean' | 'shaky' | 'lost',
  { rule, varies, waits, trySeconds }: Sketch,
  day: number,
): void {
  advance(counter, verdict, { ...rule, varies, waits, top: trySeconds.length - 1 }, day);
}

function sketchOf({ recipe, course, after }: ProgramItem, index: number): Sketch {
  const exercise = must(expand(recipe));
  const { dosage, rule, ladder } = course;
  const rungs = rungsOf(ladder);
  const trySeconds = rungs.map((rung) => planTry(exercise, rung, rung.dosage ?? dosage).seconds);
  const [first] = rungs;
  const tempo = first && planTry(exercise, first, dosage).tempo;
  return {
    id: String(index),
    name: String(index),
    after,
    needsKit: needsKit(exercise),
    trySeconds,
    tempi: rungs.map(({ bpm }) => bpm),
    cuts: dosage.kind === 'minutes',
    rule,
    headStart: course.headStart === true,
    waits: false,
    varies: chooseSimpler(factsOf(exercise, recipe), []) !== null,
    weight: tempo ? strokesMade(exercise) / ticksToSeconds(exercise.cycleTicks, tempo) : 1,
  };
}
