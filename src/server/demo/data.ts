import { USUAL_COURSE, USUAL_RULE, type Course } from '@/core/ladder';
import type { MaterialKind } from '@/core/materials';
import {
  ANY_NOTE,
  close,
  overThese,
  startOf,
  type Change,
  type ClosedRecipe,
  type Recipe,
} from '@/core/recipe';
import { must } from '@/core/issue';

/** The made-up studio of the demo: a community theatre in a harbour town, before its winter revue.
 * The pit drummer teaches. */
export const STUDIO = { studio: 'Lantern Quay Theatre', teacher: 'Maren' };

interface ExercisePlan {
  readonly name: string;
  readonly over: readonly string[];
  readonly line: string | null;
  readonly as?: ClosedRecipe['as'];
  readonly kit?: string;
  readonly changes?: readonly Change[];
}

const onBass: ClosedRecipe['as'] = { kind: 'verbatim', on: { limb: 'RF', voice: 'bass' } };

export const EXERCISES = {
  bassUnderEighths: {
    name: 'Bass drum line under 8ths',
    over: ['rock-8ths-hands'],
    line: 'line-3',
    as: onBass,
  },
  snareOverFoot: {
    name: 'Snare line over foot quarters',
    over: ['hats-quarters'],
    line: 'line-2',
  },
  bassSyncopated: {
    name: 'Syncopated bass drum under 8ths',
    over: ['rock-8ths-hands'],
    line: 'line-8',
    as: onBass,
  },
  rideShortLong: {
    name: 'Ride with short and long',
    over: ['jazz-ride'],
    line: 'line-5',
    as: startOf('short-long'),
  },
  rideUpbeats: {
    name: 'Ride, short and long off the beat',
    over: ['jazz-ride'],
    line: 'line-6',
    as: startOf('short-long'),
  },
  rideQuarters: {
    name: 'Ride quarters, snare answers',
    over: ['jazz-ride-quarters'],
    line: 'line-9',
  },
  cellsTwoFour: {
    name: 'Cells over hats on 2 and 4',
    over: ['hats-2-4'],
    line: 'line-5',
    as: startOf('phrase-cells'),
    kit: 'mirrored-kit',
  },
  cellsTail: {
    name: 'Cells across the bar line',
    over: ['hats-2-4'],
    line: 'line-7',
    as: startOf('phrase-cells'),
    kit: 'mirrored-kit',
  },
  cellsLate: {
    name: 'Cells, one 16th later',
    over: ['hats-quarters'],
    line: 'line-8',
    as: startOf('phrase-cells'),
    kit: 'mirrored-kit',
    changes: [{ kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' }],
  },
  doubleBass: {
    name: 'Snare line over double-bass 16ths',
    over: ['double-bass-16ths'],
    line: 'line-4',
  },
  sambaSnare: { name: 'Snare line over samba feet', over: ['samba-feet'], line: 'line-12' },
  claveFeet: {
    name: 'Clave against hats on the upbeats',
    over: ['clave-3-2', 'hats-upbeats'],
    line: 'line-6',
    as: onBass,
  },
  sixteenthsBass: {
    name: 'One-handed 16ths, bass drum line',
    over: ['one-hand-16ths-upbeats'],
    line: 'line-11',
    as: onBass,
  },
} as const satisfies Record<string, ExercisePlan>;

export type ExerciseKey = keyof typeof EXERCISES;

export function recipeOf(plan: ExercisePlan): ClosedRecipe {
  const base = overThese(...plan.over);
  const recipe: Recipe = {
    ...base,
    play: plan.line === null ? null : { id: plan.line, version: 1 },
    as: plan.as ?? base.as,
    changes: [...(plan.changes ?? [])],
    kit: { id: plan.kit ?? 'full-kit', version: 1 },
  };
  return must(close(recipe));
}

interface ItemPlan {
  readonly exercise: ExerciseKey;
  readonly course: Course;
}

export interface ProgramPlan {
  readonly name: string;
  readonly items: readonly ItemPlan[];
}

function course(
  start: number,
  target: number,
  step: number,
  dosage: Course['dosage'] = { kind: 'minutes', amount: 3 },
  clean = 3,
): Course {
  const ladder = { kind: 'fixed', start, target, step } as const;
  return { ...USUAL_COURSE, ladder, dosage, rule: { ...USUAL_RULE, clean } };
}

export const PROGRAMS: readonly ProgramPlan[] = [
  {
    name: 'First coordination',
    items: [
      {
        exercise: 'snareOverFoot',
        course: { ...course(60, 90, 5), ladder: { kind: 'list', tempi: [60, 64, 70, 78, 90] } },
      },
      { exercise: 'bassUnderEighths', course: course(60, 100, 5) },
      { exercise: 'bassSyncopated', course: course(50, 80, 5) },
    ],
  },
  {
    name: 'Ride and answer',
    items: [
      { exercise: 'rideQuarters', course: course(80, 140, 10) },
      { exercise: 'rideShortLong', course: course(70, 120, 5) },
      { exercise: 'rideUpbeats', course: course(60, 110, 5, { kind: 'bars', amount: 32 }) },
    ],
  },
  {
    name: 'Cells for the revue',
    items: [
      { exercise: 'cellsTwoFour', course: course(60, 100, 5) },
      { exercise: 'cellsTail', course: course(55, 90, 5) },
      {
        exercise: 'cellsLate',
        course: course(50, 80, 3, { kind: 'repetitions', amount: 24 }, 2),
      },
    ],
  },
  {
    name: 'Feet that run',
    items: [
      { exercise: 'doubleBass', course: course(70, 120, 5, { kind: 'minutes', amount: 2 }) },
      {
        exercise: 'sambaSnare',
        course: {
          ...course(60, 100, 4),
          ladder: { kind: 'percent', start: 60, target: 100, percent: 5 },
        },
      },
    ],
  },
  {
    name: 'Pit grooves',
    items: [
      { exercise: 'claveFeet', course: { ...course(60, 100, 5), follow: 'proposes' } },
      { exercise: 'sixteenthsBass', course: course(60, 96, 4, { kind: 'minutes', amount: 2 }) },
    ],
  },
];

/** What the teacher put on the shelf. */
export const OWN_MATERIALS: readonly {
  readonly kind: MaterialKind;
  readonly name: string;
  readonly trains: string;
  readonly meter: string | null;
  readonly content: object;
}[] = [
  {
    kind: 'line',
    name: 'opening number, bar 9',
    trains: 'revue',
    meter: '4/4',
    content: { text: '8r 4 8 8~4 8 | 4. 8 4 8 8' },
  },
  {
    kind: 'ostinato',
    name: 'curtain call',
    trains: 'revue',
    meter: '4/4',
    content: {
      meter: '4/4',
      swung: false,
      lanes: [
        { limb: 'RH', voice: 'tom-floor', slot: '8', grid: 'X-xxX-xx' },
        { limb: 'RF', voice: 'bass', slot: '4', grid: 'x-x-' },
        { limb: 'LF', voice: 'hat-foot', slot: '4', grid: '-x-x' },
      ],
    },
  },
  {
    kind: 'rules',
    name: 'pit reading: hits and holds',
    trains: 'revue',
    meter: null,
    content: {
      rules: [
        { ...ANY_NOTE, by: 'gap', to: 2, plays: [{ limb: 'LH', voice: 'snare' }] },
        {
          ...ANY_NOTE,
          by: 'gap',
          from: 3,
          dynamic: 'accent',
          plays: [
            { limb: 'RH', voice: 'crash' },
            { limb: 'RF', voice: 'bass' },
          ],
        },
      ],
    },
  },
];
