import type { SufferingId } from '@/core/log';
import { FULL_KIT, type KitProfile, type Limb, type VoiceId } from '@/core/kit';
import { USUAL_SCHEDULE, type Hours, type Schedule } from '@/core/plan';
import { daysAfter, WEEKDAYS, type Day } from '@/core/studio';

import type { ExerciseKey } from './data';

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
