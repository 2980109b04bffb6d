/** Students as a model has them, to hold a forecast against: nothing here knows how Mivvel plans or forecasts. All
 * numbers were chosen for lack of a source; what follows from them is of the model, not of people. */

/** How fast somebody learns. */
export const LEARNERS = ['slow', 'medium', 'fast'] as const;

export type Learner = (typeof LEARNERS)[number];

/** Share of the way to the ceiling that a minute of playing brings; the ceiling over the target; how much a day
 * without the item takes of what was learnt; how far good and bad days lie apart, in bpm. */
const OF: Readonly<
  Record<Learner, { perMinute: number; ceiling: number; forgets: number; form: number }>
> = {
  slow: { perMinute: 0.01, ceiling: 1.3, forgets: 0.02, form: 4 },
  medium: { perMinute: 0.017, ceiling: 1.4, forgets: 0.015, form: 4 },
  fast: { perMinute: 0.028, ceiling: 1.5, forgets: 0.01, form: 4 },
};

/** Over how many bpm a try goes from mostly clean to mostly not. */
const WIDTH = 5;

/** Of tries that are not clean those that fall apart, this far above what is well known. */
const LOST_FROM = 8;

interface Skill {
  /** Tempo at which every other try is clean, in bpm. */
  bpm: number;
  readonly from: number;
  readonly ceiling: number;
}

/** A student over some exercises. */
export interface ModelStudent {
  readonly skills: readonly Skill[];
  /** A night passes. */
  readonly sleep: (played: ReadonlySet<number>) => void;
  /** Plays one try. @returns how it went */
  readonly play: (exercise: number, bpm: number, minutes: number) => 'clean' | 'shaky' | 'lost';
}

/** @param exercises where each begins and where it is to lead, in bpm  @param random from 0 up to 1 */
export function modelStudent(
  learner: Learner,
  exercises: readonly { readonly start: number; readonly target: number }[],
  random: () => number,
): ModelStudent {
  const { perMinute, ceiling, forgets, form } = OF[learner];
  const skills = exercises.map(({ start, target }): Skill => {
    const from = start + 6 + 6 * normal(random);
    const most = target * (ceiling + 0.09 * normal(random));
    return { bpm: from, from, ceiling: Math.max(from + 5, most) };
  });
  const rate = perMinute * Math.exp(0.3 * normal(random));
  let today = form * normal(random);
  return {
    skills,
    sleep(played) {
      today = form * normal(random);
      for (const [index, skill] of skills.entries()) {
        if (!played.has(index)) skill.bpm -= forgets * (skill.bpm - skill.from);
      }
    },
    play(exercise, bpm, minutes) {
      const skill = skills[exercise];
      if (!skill) throw new RangeError(`no exercise ${exercise}`);
      const over = bpm - skill.bpm - today;
      const clean = random() < 1 / (1 + Math.exp(over / WIDTH));
      const lost = random() < 1 / (1 + Math.exp((LOST_FROM - over) / WIDTH));
      skill.bpm += rate * minutes * Math.max(0, skill.ceiling - skill.bpm);
      return clean ? 'clean' : lost ? 'lost' : 'shaky';
    },
  };
}

/** From the standard normal distribution, as the sum of twelve even ones less six. */
function normal(random: () => number): number {
  let sum = -6;
  for (let nth = 0; nth < 12; nth += 1) sum += random();
  return sum;
}
