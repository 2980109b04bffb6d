import { seeded } from '../chance';
import { dayNumber, WEEKDAYS } from '../calendar';
import { USUAL_COURSE } from '../ladder';
import { forecast, USUAL_SCHEDULE, type Schedule } from '../plan';
import { COURSE_TEMPLATES, STARTER_IDS, STARTERS } from '../program';
import { overThese } from '../recipe';
import { practise, type ProgramItem } from './practice';
import { LEARNERS, type Learner } from './students';

/** A Monday. */
export const FROM = '2026-03-02';
/** Days after which a forecast is looked at. */
const LOOKS = [3, 7, 14, 28, 42] as const;
/** So long after a look a truth is waited for. */
const HALF_A_YEAR = 182;

/** Minutes by weekday, Monday first. */
export const WEEKS = {
  daily15: [15, 15, 15, 15, 15, 15, 15],
  daily30: [30, 30, 30, 30, 30, 30, 30],
  five20: [20, 20, 20, 20, 20, 0, 0],
  three45: [45, 0, 45, 0, 45, 0, 0],
  weekend60: [10, 0, 0, 10, 0, 60, 60],
} as const satisfies Readonly<Record<string, readonly number[]>>;

export function scheduleOf(minutes: readonly number[]): Schedule {
  const { week } = USUAL_SCHEDULE;
  const days = WEEKDAYS.map((day, at) => [day, { ...week[day], minutes: minutes[at] ?? 0 }]);
  return { ...USUAL_SCHEDULE, week: Object.fromEntries(days) as Schedule['week'] };
}

/** Programs that a forecast is held against: each starter, and four ostinatos side by side on each of three usual
 * courses. */
export function programsHeld(): ReadonlyMap<string, readonly ProgramItem[]> {
  const held = new Map<string, readonly ProgramItem[]>();
  for (const id of STARTER_IDS) {
    const items = STARTERS[id]();
    held.set(
      id,
      items.map(({ recipe, course }, at) => ({ recipe, course, after: at === 0 ? [] : [at - 1] })),
    );
  }
  for (const id of ['usual', 'zigzag', 'rudiment'] as const) {
    const ladder = COURSE_TEMPLATES.find((one) => one.id === id)?.course.ladder;
    const course = { ...USUAL_COURSE, ...(ladder ? { ladder } : {}) };
    const grounds = ['rock-8ths', 'jazz-ride', 'left-paradiddle', 'bossa-feet'];
    held.set(
      `four-${id}`,
      grounds.map((one) => ({ recipe: overThese(one), course, after: [] })),
    );
  }
  return held;
}

/** What one forecast said, and what was so: days from the look; null for not within half a year. */
export interface Held {
  readonly learner: Learner;
  readonly program: string;
  readonly week: string;
  readonly after: number;
  readonly what: 'item' | 'program';
  readonly early: number | null;
  readonly middle: number | null;
  readonly late: number | null;
  readonly truth: number | null;
}

/** Holds forecasts against what model students then did.
 * @param count of programs by weeks by learners: so many of all, spread evenly  @param futures of each forecast */
export function holdForecasts({
  count = Infinity,
  futures = 300,
  seed = 1,
}: { count?: number; futures?: number; seed?: number } = {}): readonly Held[] {
  const held: Held[] = [];
  let nth = 0;
  const programs = programsHeld();
  const share = Math.min(1, count / (programs.size * Object.keys(WEEKS).length * LEARNERS.length));
  for (const [program, items] of programs) {
    for (const [week, minutes] of Object.entries(WEEKS)) {
      for (const learner of LEARNERS) {
        nth += 1;
        if (Math.floor(nth * share) === Math.floor((nth - 1) * share)) continue;
        const random = seeded(seed * 7919 + nth);
        const { through, looks } = practise({
          ...{ items, learner, schedule: scheduleOf(minutes), from: FROM, random },
          ...{
            keeps: 0.6 + 0.3 * random(),
            looks: LOOKS,
            days: Math.max(...LOOKS) + HALF_A_YEAR + 1,
          },
        });
        for (const { after, ...look } of looks) {
          const said = forecast({ ...look, seed: nth, futures });
          const days = (day: string | null) =>
            day === null ? null : dayNumber(day) - dayNumber(FROM) - after;
          const truthOf = (at: number) => (at < 0 || at - after >= HALF_A_YEAR ? null : at - after);
          const add = (what: Held['what'], range: typeof said.program, truth: number | null) =>
            held.push({
              ...{ learner, program, week, after, what, truth },
              ...{ early: days(range.early), middle: days(range.middle), late: days(range.late) },
            });
          const open = through.flatMap((at, index) => (said.works[index] ? [at] : []));
          said.works.forEach((range, index) => {
            if (range) add('item', range, truthOf(through[index] ?? -1));
          });
          if (open.length > 0)
            add('program', said.program, truthOf(open.includes(-1) ? -1 : Math.max(...open)));
        }
      }
    }
  }
  return held;
}

/** What a group of forecasts came to. */
interface HeldSum {
  readonly count: number;
  /** Share whose range held what was so. */
  readonly inside: number;
  /** Share that came before the range, and after it. */
  readonly before: number;
  readonly behind: number;
  /** Median of the middle over what was so, where both came within half a year. */
  readonly ratio: number;
  /** How often "not within half a year" was said, and was so. */
  readonly saidNever: number;
  readonly wasNever: number;
}

export function sumHeld(held: readonly Held[]): HeldSum {
  const FAR = 10_000;
  const share = (is: (one: Held) => boolean) => held.filter(is).length / Math.max(1, held.length);
  const before = share(({ truth, early }) => (truth ?? FAR) < (early ?? FAR));
  const behind = share(({ truth, late }) => (truth ?? FAR) > (late ?? FAR));
  const ratios = held
    .flatMap(({ truth, middle }) =>
      truth === null || middle === null ? [] : [(middle + 1) / (truth + 1)],
    )
    .sort((a, b) => a - b);
  return {
    count: held.length,
    inside: 1 - before - behind,
    ...{ before, behind },
    ratio: ratios[ratios.length >> 1] ?? NaN,
    saidNever: held.filter(({ middle }) => middle === null).length,
    wasNever: held.filter(({ truth }) => truth === null).length,
  };
}
