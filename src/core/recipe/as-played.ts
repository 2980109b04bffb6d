import { LIMBS, mirrorHand, mirrorLimb, type KitProfile, type Limb } from '../kit';
import { mirrorLetters } from '../sticking';
import type { ClosedRecipe } from './schema';

/** Which limbs and letters a kit turns into which. */
interface Turned {
  readonly handedness: KitProfile['handedness'];
  readonly limb: (limb: Limb) => Limb;
  readonly letters: (text: string) => string;
}

const TURNED: Readonly<Record<KitProfile['handedness'], Turned | null>> = {
  right: null,
  mirrored: {
    handedness: 'mirrored',
    limb: mirrorLimb,
    letters: (text) => swapFeet(mirrorLetters(text)),
  },
  'left-lead': { handedness: 'left-lead', limb: mirrorHand, letters: mirrorLetters },
  // A sticking keeps its own lead.
  'open-handed': { handedness: 'open-handed', limb: mirrorHand, letters: (text) => text },
};

const FEET: Readonly<Record<string, string>> = { K: 'F', F: 'K', r: 'l', l: 'r' };

function swapFeet(text: string): string {
  return text.replace(/[KFrl]/g, (letter) => FEET[letter] ?? letter);
}

/** The limb that plays what is written for one. @example turnedLimb('mirrored', 'LF') // => 'RF' */
export function turnedLimb(handedness: KitProfile['handedness'], limb: Limb): Limb {
  return TURNED[handedness]?.limb(limb) ?? limb;
}

/** A recipe as its player plays it, to be said: limbs, stickings and cells as the kit turns them, so that words
 * and lanes agree; each ostinato with the way in which it is turned. It is not to be expanded: that turns them again.
 * @example asPlayed of RLLK on a mirrored kit // => LRRF */
export function asPlayed(recipe: ClosedRecipe): ClosedRecipe {
  const turned = TURNED[recipe.kit.content.handedness];
  if (!turned) return recipe;
  const { kit, ...rest } = recipe;
  return { ...(turn(rest, turned) as typeof rest), kit };
}

function isLimb(text: string): text is Limb {
  return LIMBS.some((limb) => limb === text);
}

function turn(value: unknown, turned: Turned, key = ''): unknown {
  if (typeof value === 'string') {
    if (isLimb(value)) return turned.limb(value);
    return key === 'sticking' || key === 'cells' ? turned.letters(value) : value;
  }
  if (Array.isArray(value)) {
    const all = value.map((one) => turn(one, turned, key));
    if (key !== 'over') return all;
    return all.map((one) => ({ ...(one as object), turned: turned.handedness }));
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, inner]) => [
      isLimb(name) ? turned.limb(name) : name,
      turn(inner, turned, key === 'cells' ? key : name),
    ]),
  );
}
