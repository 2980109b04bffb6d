import type { SufferingId } from '@/core/log';
import { USUAL_COURSE, USUAL_RULE, type Course } from '@/core/ladder';
import { FULL_KIT, type KitProfile, type Limb, type VoiceId } from '@/core/kit';
import type { MaterialKind } from '@/core/materials';
import {
  ANY_NOTE,
  blankRecipe,
  close,
  startOf,
  toggleOstinato,
  type Change,
  type ClosedRecipe,
  type Recipe,
} from '@/core/recipe';
import { must } from '@/core/issue';
import { USUAL_SCHEDULE, type Hours, type Schedule } from '@/core/plan';
import { daysAfter, WEEKDAYS, type Day } from '@/core/studio';

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
  const base = plan.over.reduce<ClosedRecipe>((one, id) => toggleOstinato(one, id), blankRecipe());
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

/** How a made-up student practises. `reach`: the tempo they could play at the start, as a share of
 * each ladder's way; `gain`: bpm won by a try; `walls`: exercises that stay out of reach above a
 * tempo; `daysAWeek`: how often they practise. */
export interface StudentPlan {
  readonly name: string;
  readonly about: string;
  readonly kit: KitProfile;
  readonly program: string;
  readonly daysAWeek: number;
  readonly roundsADay: number;
  readonly reach: number;
  readonly gain: number;
  readonly walls: Partial<Record<ExerciseKey, number>>;
  readonly suffers: readonly (readonly [SufferingId, Limb | null])[];
  /** The felt beat of the cycle on which an exercise breaks, from 0. */
  readonly breaks: Partial<Record<ExerciseKey, number>>;
  /** What the teacher wrote after the last lesson. */
  readonly notes: readonly string[];
  /** When they practise: minutes from Monday to Sunday, and how. */
  readonly hours: {
    readonly minutes: readonly number[];
    readonly usual: Partial<Hours>;
    /** Weekdays that are otherwise, from Monday. */
    readonly own?: Readonly<Record<number, Partial<Hours>>>;
    readonly order?: Schedule['order'];
    /** Days from now until the target date. */
    readonly target?: number;
    readonly protection?: Schedule['noise']['protection'];
  };
}

/** A student's schedule. @param today the demo's last day */
export function scheduleOf({ hours }: Pick<StudentPlan, 'hours'>, today: Day): Schedule {
  const { minutes, usual, own = {}, order, target, protection } = hours;
  const week = WEEKDAYS.map((day, index) => [
    day,
    { ...USUAL_SCHEDULE.week[day], ...usual, minutes: minutes[index] ?? 0, ...own[index] },
  ]);
  const { noise } = USUAL_SCHEDULE;
  return {
    ...USUAL_SCHEDULE,
    week: Object.fromEntries(week) as Schedule['week'],
    order: order ?? 'blocked',
    target: target === undefined ? null : daysAfter(today, target),
    noise: { ...noise, protection: protection ?? 'none' },
    since: daysAfter(today, -41),
  };
}

/** A small kit at home: one tom less, no ride, no cowbell. */
const HOME_KIT: readonly VoiceId[] = [
  'crash',
  'hat-open',
  'hat-half',
  'hat',
  'tom-high',
  'tom-floor',
  'snare',
  'cross-stick',
  'rim-shot',
  'bass',
  'hat-foot',
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

export const STUDENTS: readonly StudentPlan[] = [
  {
    name: 'Bruno',
    about: 'adult beginner; full kit at home, quiet after eight',
    kit: { ...FULL_KIT, name: 'Bruno', voices: HOME_KIT },
    program: 'First coordination',
    daysAWeek: 4,
    roundsADay: 2,
    reach: 0.15,
    gain: 0.5,
    walls: {},
    suffers: [
      ['followed', 'RF'],
      ['count', null],
      ['pushed', null],
    ],
    breaks: { bassSyncopated: 2 },
    notes: [],
    hours: {
      minutes: [20, 20, 0, 20, 20, 30, 0],
      usual: { at: '19:50', quiet: { from: '20:00', to: '08:00' } },
      own: { 5: { at: '11:00' } },
      protection: 'muffs',
    },
  },
  {
    name: 'Pia',
    about: '14, left-handed, mirrored kit; plays the revue',
    kit: { ...FULL_KIT, name: 'Pia', handedness: 'mirrored', voices: HOME_KIT },
    program: 'Cells for the revue',
    daysAWeek: 5,
    roundsADay: 2,
    reach: 0.3,
    gain: 0.55,
    walls: {},
    suffers: [
      ['accents', null],
      ['seam', null],
      ['weak-hand', 'RH'],
    ],
    breaks: { cellsTail: 0 },
    notes: ['Bring the mute pads on Friday.'],
    hours: {
      minutes: [20, 0, 20, 20, 20, 30, 20],
      usual: { at: '16:30' },
      order: 'interleaved',
      target: 38,
      protection: 'foam',
    },
  },
  {
    name: 'Walter',
    about: 'retired, loves jazz; pad on weekdays, kit on Sundays',
    kit: { ...FULL_KIT, name: 'Walter', voices: ['pad'] },
    program: 'Ride and answer',
    daysAWeek: 6,
    roundsADay: 2,
    reach: 0.35,
    gain: 0.5,
    walls: {},
    suffers: [
      ['dragged', null],
      ['uneven', null],
      ['crept-in', 'RF'],
    ],
    breaks: { rideUpbeats: 3 },
    notes: [],
    hours: {
      minutes: [20, 20, 20, 20, 20, 0, 30],
      usual: { on: 'pad', at: '10:00' },
      own: { 6: { on: 'kit' } },
    },
  },
  {
    name: 'Deniz',
    about: 'double pedal, strong feet; wants even 16ths',
    kit: { ...FULL_KIT, name: 'Deniz' },
    program: 'Feet that run',
    daysAWeek: 4,
    roundsADay: 2,
    reach: 0.4,
    gain: 0.45,
    walls: {},
    suffers: [
      ['tense', null],
      ['uneven', null],
      ['flam', 'LF'],
    ],
    breaks: {},
    notes: [],
    hours: {
      minutes: [15, 15, 15, 15, 15, 15, 15],
      usual: { at: '18:00' },
      order: 'interleaved',
      protection: 'foam',
    },
  },
  {
    name: 'Lotte',
    about: 'plays in the pit already; stuck on the clave for weeks',
    kit: { ...FULL_KIT, name: 'Lotte' },
    program: 'Pit grooves',
    daysAWeek: 4,
    roundsADay: 2,
    reach: 0.2,
    gain: 0.5,
    walls: { claveFeet: 68 },
    suffers: [
      ['followed', 'LF'],
      ['seam', null],
      ['flam', 'RF'],
    ],
    breaks: { claveFeet: 6 },
    notes: ['Sing the clave before you play it. We look at bar 2 together.'],
    hours: { minutes: [20, 20, 0, 20, 0, 30, 0], usual: { at: '17:00' }, target: 45 },
  },
];
