import {
  difficultyParts,
  difficultyPoints,
  hindrances,
  shapeOf,
  soundKey,
  strokeCode,
} from '../analysis';
import type { AxisName, Issue } from '../issue';
import { VOICE_IDS } from '../kit';
import { expand, type Exercise } from '../recipe';
import { tempoFor, type Bpm } from '../time';
import { memberAt, memberRecipe, type Member, type OpenedFamily } from './members';
import type { AxisValue } from './axis';

/** A member that can be played, with what ordering and folding need of it. */
export interface Played extends Member {
  readonly points: number;
  readonly bars: number;
  /** A bit for each voice that sounds, by its place in `VOICE_IDS`. */
  readonly voices: number;
  /** Hindrances at the tempo that the recipe does not keep. */
  readonly warnings: number;
  /** The first member that is the same stroke by stroke. Itself, where there is none. */
  readonly identicalTo: number;
  /** The first member that is the same in disguise: by the same limbs up to where it begins, or by
   * other limbs with the same sound. Itself, where there is none. */
  readonly sameAs: number;
  /** Whether that one is played by the same limbs. */
  readonly sameLimbs: boolean;
  /** Number of each stroke and its place, rising; equal where the strokes are. */
  readonly events: readonly number[];
}

/** A member that cannot be played, and why. */
export interface Impossible extends Member {
  readonly issues: readonly Issue[];
}

/** Every member so far, in the order of the product. */
export interface Judged {
  readonly played: readonly Played[];
  readonly impossible: readonly Impossible[];
}

/** More than any stroke's code. */
const CODES = 2 ** 27;

/** A number for each stroke and its place, in order of time. */
function eventsOf(exercise: Exercise): readonly number[] {
  return exercise.strokes.map((stroke) => stroke.at * CODES + strokeCode(stroke));
}

/** Expands and reads members in the order of the product, a stretch at a time, and finds each one’s
 * first twin. Made anew from the same family, it says the same. */
export class FamilyJudge {
  readonly #family: OpenedFamily;
  readonly #tempo: Bpm;
  /** Members by what their limbs play and where that begins, and those that stand for themselves by what is
   * heard. */
  readonly #byLimbs = new Map<string, Map<number, number>>();
  readonly #bySound = new Map<string, number>();
  #next = 0;

  constructor(family: OpenedFamily, tempo: Bpm) {
    this.#family = family;
    this.#tempo = tempo;
  }

  get done(): number {
    return this.#next;
  }

  get over(): boolean {
    return this.#next >= this.#family.size;
  }

  /** The next members. @param most how many, >= 1 */
  take(most: number): Judged {
    const played: Played[] = [];
    const impossible: Impossible[] = [];
    const end = Math.min(this.#family.size, this.#next + most);
    for (; this.#next < end; this.#next += 1) {
      const member = memberAt(this.#family, this.#next);
      const made = expand(memberRecipe(this.#family, member));
      if (!made.ok) impossible.push({ ...member, issues: made.issues });
      else {
        const { index, choice } = member;
        const { points, bars, voices, warnings, events } = factsOf(made.value, this.#tempo);
        const { identicalTo, sameAs, sameLimbs } = this.#twin(index, made.value);
        played.push({
          index,
          choice,
          points,
          bars,
          voices,
          warnings,
          identicalTo,
          sameAs,
          sameLimbs,
          events,
        });
      }
    }
    return { played, impossible };
  }

  #twin(index: number, exercise: Exercise): Pick<Played, 'identicalTo' | 'sameAs' | 'sameLimbs'> {
    const { key: limbs, start } = shapeOf(exercise, 'limbs');
    const turned = this.#byLimbs.get(limbs);
    if (turned) {
      const identicalTo = turned.get(start) ?? index;
      if (identicalTo === index) turned.set(start, index);
      const [sameAs = index] = turned.values();
      return { identicalTo, sameAs, sameLimbs: true };
    }
    const sound = soundKey(exercise);
    const heard = this.#bySound.get(sound);
    this.#byLimbs.set(limbs, new Map([[start, index]]));
    if (heard !== undefined) return { identicalTo: index, sameAs: heard, sameLimbs: false };
    this.#bySound.set(sound, index);
    return { identicalTo: index, sameAs: index, sameLimbs: true };
  }
}

function factsOf(exercise: Exercise, bpm: Bpm) {
  const tempo = tempoFor(exercise.meter, bpm);
  const kept = new Set<string>(exercise.kept.map((one) => one.rule));
  return {
    points: difficultyPoints(difficultyParts(exercise, tempo)),
    bars: exercise.bars,
    warnings: hindrances(exercise, tempo).filter((one) => !kept.has(one.rule)).length,
    voices: voicesOf(exercise),
    events: eventsOf(exercise),
  };
}

function voicesOf(exercise: Exercise): number {
  return exercise.strokes.reduce((bits, { voice }) => bits | (1 << VOICE_IDS.indexOf(voice)), 0);
}

/** Values with which no member can be played. */
export function deadValues(
  { axes }: OpenedFamily,
  { played, impossible }: Pick<Judged, 'impossible'> & { readonly played: readonly Member[] },
): readonly { readonly axis: AxisName; readonly value: AxisValue }[] {
  return axes.flatMap(({ name, values }, nth) => {
    const alive = new Set(played.map((one) => one.choice[nth]));
    const asked = new Set(impossible.map((one) => one.choice[nth]));
    return values.flatMap((value, place) =>
      asked.has(place) && !alive.has(place) ? [{ axis: name, value }] : [],
    );
  });
}

/** Everything at once. */
export function judgeFamily(family: OpenedFamily, tempo: Bpm): Judged {
  return new FamilyJudge(family, tempo).take(Math.max(1, family.size));
}

/** Each exercise once: what is the same stroke by stroke is one. */
export function eachOnce<One extends Pick<Played, 'index' | 'identicalTo'>>(
  played: readonly One[],
): readonly One[] {
  return played.filter((one) => one.identicalTo === one.index);
}

/** The members that stand for themselves: the first of each kind. */
export function foldMembers(played: readonly Played[]): readonly Played[] {
  return played.filter((one) => one.sameAs === one.index);
}
