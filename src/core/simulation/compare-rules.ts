import { seeded } from '../chance';
import { USUAL_COURSE, type Course } from '../ladder';
import { overThese } from '../recipe';
import { FROM, WEEKS, scheduleOf } from './hold-forecast';
import { practise } from './practice';
import { LEARNERS } from './students';

const usual = (more: Partial<Course>): Course => ({ ...USUAL_COURSE, ...more });
const rule = (more: Partial<Course['rule']>) => usual({ rule: { ...USUAL_COURSE.rule, ...more } });
const step = (by: number) => usual({ ladder: { kind: 'fixed', start: 60, target: 100, step: by } });

/** The usual settings, and each changed by itself. */
const COMPARED = {
  asUsual: USUAL_COURSE,
  bars16: usual({ dosage: { kind: 'bars', amount: 16 } }),
  minutes2: usual({ dosage: { kind: 'minutes', amount: 2 } }),
  minutes5: usual({ dosage: { kind: 'minutes', amount: 5 } }),
  clean1: rule({ clean: 1 }),
  clean2: rule({ clean: 2 }),
  clean4: rule({ clean: 4 }),
  clean3OfLast4: rule({ clean: 3, of: 4 }),
  step2: step(2),
  step10: step(10),
  plateau2: rule({ plateau: 2 }),
  plateau8: rule({ plateau: 8 }),
} satisfies Readonly<Record<string, Course>>;

type ComparedId = keyof typeof COMPARED;

/** What a setting comes to. */
interface RuleDays {
  readonly id: ComparedId;
  /** Days until all of the program is through, in the middle and for nine in ten; null where they are not within a
   * year. */
  readonly median: number | null;
  readonly ninth: number | null;
}

/** Lets model students of every kind practise four ostinatos side by side, 30 minutes a day, under each setting; the
 * same students under each.
 * @param students of each kind */
export function compareRules(students = 20): readonly RuleDays[] {
  return (Object.keys(COMPARED) as ComparedId[]).map((id) => {
    const course = COMPARED[id];
    const days: number[] = [];
    for (const learner of LEARNERS) {
      for (let nth = 0; nth < students; nth += 1) {
        const random = seeded(1000 * nth + 7);
        const items = ['rock-8ths', 'jazz-ride', 'left-paradiddle', 'bossa-feet'].map((one) => ({
          recipe: overThese(one),
          course,
          after: [],
        }));
        const { through } = practise({
          ...{ items, learner, schedule: scheduleOf(WEEKS.daily30), from: FROM },
          ...{ keeps: 0.75, days: 365, looks: [0], random },
        });
        days.push(through.includes(-1) ? Infinity : Math.max(...through) + 1);
      }
    }
    days.sort((a, b) => a - b);
    const at = (share: number) => {
      const day = days[Math.floor(share * (days.length - 1))] ?? Infinity;
      return Number.isFinite(day) ? day : null;
    };
    return { id, median: at(0.5), ninth: at(0.9) };
  });
}
