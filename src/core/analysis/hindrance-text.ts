import { sayCount } from '../issue';
import { limbName, voice, type VoiceId } from '../kit';
import type { Exercise } from '../recipe';
import { countName, type Syllables, type Tick } from '../time';
import type { Hindrance } from './playability';

/** A hindrance in words: where, why, and how to mend it. */
export interface HindranceText {
  readonly where: string;
  readonly reason: string;
  readonly mend: string;
}

export function hindranceText(
  hindrance: Hindrance,
  exercise: Exercise,
  syllables?: Syllables,
): HindranceText {
  const where = place(hindrance.at, exercise, syllables);
  switch (hindrance.rule) {
    case 'hat-before-foot': {
      const chick = countName(hindrance.chickAt, exercise.meter, syllables);
      const seam = hindrance.acrossSeam ? ', across the loop seam' : '';
      return {
        where,
        reason: `The hi-hat stroke lies ${Math.round(hindrance.gapMs)} ms before the foot closes it on ${chick}${seam}: it sounds open.`,
        mend: 'Play that stroke on the snare or bass drum, or slow down.',
      };
    }
    case 'limb-twice':
      return {
        where,
        reason: `The ${limbName(hindrance.limb)} has ${sayTogether(hindrance.voices)} at once.`,
        mend: 'Take one of them away, or give it to another limb.',
      };
    case 'foot-to-foot':
      return {
        where,
        reason: `The right foot goes straight into the left foot, ${Math.round(hindrance.gapMs)} ms later.`,
        mend: 'Give one of them to a hand, or slow down.',
      };
    case 'open-hat-closed':
      return {
        where,
        reason: 'The foot closes the hi-hat while the stick opens it.',
        mend: 'Let the foot rest there, or play it closed.',
      };
    case 'ghost-after-accent':
      return {
        where,
        reason: `The ${limbName(hindrance.limb)} has ${Math.round(hindrance.gapMs)} ms from an accent down to a ghost.`,
        mend: 'Give the ghost to the other hand, or slow down.',
      };
    case 'fast-run':
      return {
        where,
        reason: `The ${limbName(hindrance.limb)} plays ${hindrance.strokes} in a row, ${Math.round(hindrance.gapMs)} ms apart.`,
        mend: 'Share them with another limb, or slow down.',
      };
    case 'voice-missing':
      return {
        where,
        reason: `This kit has no ${voice(hindrance.voice).name}.`,
        mend: 'Choose another voice, or another kit.',
      };
    case 'accent-on-rest':
      return {
        where,
        reason: 'An accent was moved here, and nothing is played: it is lost.',
        mend: 'Move the accents by another number of slots, or write a note here.',
      };
    case 'swung-apart':
      return {
        where,
        reason: `Written together, but one part swings 8ths and the other 16ths or tuplets: they sound ${Math.round(hindrance.gapMs)} ms apart${hindrance.places > 1 ? `, here and in ${sayCount(hindrance.places - 1, 'more place')}` : ''}.`,
        mend: 'Play it straight, or write both parts in 8ths or in triplets.',
      };
  }
}

function sayTogether(voices: readonly VoiceId[]): string {
  const names = [...new Set(voices)].map((id) => voice(id).name);
  return names.length === 1 ? `${names[0]} ${voices.length} times` : names.join(' and ');
}

/** @example place(…) // => 'Bar 1, & of 2' */
function place(at: Tick, exercise: Exercise, syllables?: Syllables): string {
  const bar = Math.floor(at / exercise.barTicks) + 1;
  return `Bar ${bar}, ${countName(at, exercise.meter, syllables)}`;
}
