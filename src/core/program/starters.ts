import { stepCourse, USUAL_COURSE, type Course } from '../ladder';
import {
  blankRecipe,
  cellsOver,
  laneOver,
  lineOver,
  overThese,
  readAs,
  type Change,
  type ClosedRecipe,
} from '../recipe';
import { typedSticking } from '../sticking';

/** An item of a starter program: each waits for the one before it. */
export interface StarterItem<Id extends string = string> {
  readonly id: Id;
  readonly recipe: ClosedRecipe;
  readonly course: Course;
}

const BASS = { limb: 'RF', voice: 'bass' } as const;
const SNARE = { limb: 'LH', voice: 'snare' } as const;

/** Steps of a first beat are learnt slowly, and halfway at once by whom the step before gave no trouble; what is made
 * of them climbs on. */
const FIRST: Course = { ...stepCourse(60, 'step'), rule: { ...USUAL_COURSE.rule, clean: 2 } };
const STEP: Course = { ...FIRST, headStart: true };
const GROOVE = stepCourse(60, 'whole');
/** Work that wants time: two minutes a try, in small steps. */
const LONG: Course = minutesCourse(60, 90, 2);

/** Stamina: so many minutes a try, up to a tempo of its style. Two clean are enough where each takes minutes. */
function minutesCourse(start: number, target: number, minutes: number): Course {
  return {
    ...USUAL_COURSE,
    ladder: { kind: 'fixed', start, target, step: 5 },
    dosage: { kind: 'minutes', amount: minutes },
    rule: { ...USUAL_COURSE.rule, clean: 2 },
  };
}

/** Bars a try, over the tempi of a style. */
function barsCourse(start: number, target: number, step: number, bars = 8): Course {
  return {
    ...USUAL_COURSE,
    ladder: { kind: 'fixed', start, target, step },
    dosage: { kind: 'bars', amount: bars },
  };
}

function withChange(recipe: ClosedRecipe, ...changes: readonly Change[]): ClosedRecipe {
  return { ...recipe, changes: [...recipe.changes, ...changes] };
}

function only(...limbs: ('RH' | 'LH' | 'RF' | 'LF')[]): Change {
  return { kind: 'only', limbs };
}

function bassOn(grid: string): Change {
  return { kind: 'place', to: BASS, slot: '16', grid };
}

function rock(bass: string): ClosedRecipe {
  return withChange(overThese('rock-8ths-hands'), {
    kind: 'place',
    to: BASS,
    slot: '8',
    grid: bass,
  });
}

function backbeatOver(...ids: readonly string[]): ClosedRecipe {
  const under = overThese(...ids);
  const backbeat = laneOver('S: 2 4', { ...SNARE, slot: '4', grid: '-X-X' });
  return { ...under, over: [...under.over, backbeat] };
}

function shortLong(text: string): ClosedRecipe {
  return readAs(lineOver(overThese('jazz-ride'), text), 'short-long');
}

/** A jazz ride with the snare on some 8ths, low. */
function comping(grid: string): ClosedRecipe {
  return withChange(overThese('jazz-ride'), {
    kind: 'place',
    to: SNARE,
    slot: '8',
    grid: grid.replaceAll('x', 'g'),
  });
}

function ruff(bars: number, right: 'snare' | 'tom-floor'): ClosedRecipe {
  const content = typedSticking('6: LRLRLK');
  const voices = { ...content.voices, RH: right };
  return withChange(
    { ...overThese('rock-8ths'), play: { content: { ...content, voices } } },
    { kind: 'aim', bars, times: 1, lands: 0, slot: '16', by: 'last note', over: 'goes on' },
  );
}

/** Short and long notes in every bar. */
const LINES = ['2 4 4', '4. 8 4 4', '4. 4 8 4', '8 4. 8 4.'] as const;

const of =
  (course: Course) =>
  <Id extends string>(id: Id, recipe: ClosedRecipe): StarterItem<Id> => ({ id, recipe, course });
const [first, step, groove, long] = [of(FIRST), of(STEP), of(GROOVE), of(LONG)];
/** A jazz ride lives from 80 to 130. */
const [rideStep, ride] = [of(barsCourse(80, 110, 10)), of(barsCourse(80, 130, 5))];
/** Feet that run are a matter of minutes. */
const feet = of(minutesCourse(70, 110, 2));
/** At last the tempo stays, and two minutes become five. */
const feetLong = of({
  ...minutesCourse(100, 100, 2),
  ladder: { kind: 'hold', bpm: 100, from: 2, to: 5, by: 1 },
});
/** Doubles of one side meet the next at 150 ms in 16ths at 100. */
const sides = of(barsCourse(60, 100, 5));

/** Programs that ship: progressions of our own, made from shipped material, to be copied and changed. The
 * order of the work is common practice, no source. */
export const STARTERS = {
  beat: () => [
    first('beat-hats', withChange(overThese('rock-8ths'), only('RH'))),
    step('beat-hatsBass', withChange(overThese('rock-8ths'), only('RH', 'RF'))),
    step('beat-hatsSnare', withChange(overThese('rock-8ths'), only('RH', 'LH'))),
    step('beat-bassSnare', withChange(overThese('rock-8ths'), only('LH', 'RF'))),
    groove('beat-whole', overThese('rock-8ths')),
    groove('beat-andOfThree', rock('x---xx--')),
    groove('beat-andOfTwo', rock('x--xx---')),
  ],
  between: () => [
    groove('between-ground', overThese('rock-8ths')),
    groove('between-aOfTwo', withChange(overThese('rock-8ths-hands'), bassOn('x------xx-------'))),
    groove('between-aOfFour', withChange(overThese('rock-8ths-hands'), bassOn('x-------x------x'))),
    groove(
      'between-eOfThree',
      withChange(overThese('rock-8ths-hands'), bassOn('x-------xx------')),
    ),
    groove('between-eOfOne', withChange(overThese('rock-8ths-hands'), bassOn('xx------x-------'))),
    groove('between-both', withChange(overThese('rock-8ths-hands'), bassOn('x--x----xx------'))),
  ],
  page: () => [
    rideStep('page-ride', overThese('jazz-ride')),
    ride('page-line1', shortLong(LINES[0])),
    ride('page-line2', shortLong(LINES[1])),
    ride('page-line3', shortLong(LINES[2])),
    ride('page-line4', shortLong(LINES[3])),
    long('page-whole', shortLong(LINES.join(' | '))),
  ],
  cells: () => [
    first('cells-fours', cellsOver(overThese('hats-2-4'), '4 4 4 4')),
    step('cells-twos', cellsOver(overThese('hats-2-4'), '8 8 4 8 8 4')),
    step('cells-sixes', cellsOver(overThese('hats-2-4'), '4. 4. 4')),
    groove('cells-mixed', cellsOver(overThese('hats-2-4'), '4. 4 8 4')),
    groove('cells-overTheBar', cellsOver(overThese('hats-2-4'), '8r 4 4 8 4')),
  ],
  feet: () => [
    first('feet-eighths', overThese('double-bass-8ths')),
    feet('feet-sixteenths', overThese('double-bass-16ths')),
    feet('feet-quarters', overThese('double-bass-16ths', 'ride-quarters')),
    feet('feet-rideEighths', overThese('double-bass-16ths', 'ride-8ths')),
    feet('feet-upbeats', overThese('double-bass-16ths', 'ride-upbeats')),
    feetLong('feet-backbeat', backbeatOver('double-bass-16ths', 'ride-8ths')),
  ],
  sides: () => [
    first('sides-leftAlone', overThese('left-singles')),
    step('sides-pulse', overThese('left-singles', 'ride-quarters')),
    sides('sides-doubles', overThese('left-doubles', 'ride-quarters')),
    sides('sides-paradiddle', overThese('left-paradiddle', 'ride-quarters')),
    sides('sides-eighths', overThese('left-paradiddle', 'ride-8ths')),
    sides('sides-upbeats', overThese('left-paradiddle', 'ride-upbeats')),
  ],
  ruffs: () => [
    first('ruffs-alone', {
      ...blankRecipe(),
      play: { content: typedSticking('16t: LRLRLK------------------') },
    }),
    step('ruffs-groove', overThese('rock-8ths')),
    groove('ruffs-everyOther', ruff(2, 'snare')),
    groove('ruffs-everyFourth', ruff(4, 'snare')),
    groove('ruffs-drums', ruff(4, 'tom-floor')),
  ],
  clave: () => [
    first('clave-feet', overThese('hats-2-4')),
    step('clave-alone', overThese('clave-3-2')),
    groove('clave-quarters', overThese('hats-2-4', 'clave-3-2')),
    groove('clave-together', overThese('hats-2-4', 'bass-quarters', 'clave-3-2')),
    groove('clave-bossa', overThese('bossa-feet', 'bossa-clave')),
    groove('clave-samba', overThese('samba-feet', 'clave-3-2')),
  ],
  swing: () => [
    rideStep('swing-quarters', overThese('jazz-ride-quarters')),
    rideStep('swing-ride', overThese('jazz-ride')),
    ride('swing-feathered', overThese('jazz-ride-feathered')),
    ride('swing-two', comping('---x----')),
    ride('swing-answers', comping('---x--x-')),
    ride(
      'swing-comping',
      withChange(comping('---x--x-'), { kind: 'place', to: BASS, slot: '8', grid: 'g------g' }),
    ),
  ],
} as const satisfies Record<string, () => readonly StarterItem[]>;

export type StarterId = keyof typeof STARTERS;

/** Of all starter programs. */
export type StarterItemId = ReturnType<(typeof STARTERS)[StarterId]>[number]['id'];

export const STARTER_IDS = Object.keys(STARTERS) as readonly StarterId[];
