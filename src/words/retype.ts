import { isHand, usualLimb } from '@/core/kit';
import type { Lane } from '@/core/materials';
import { type Exercise } from '@/core/recipe';
import type { Retyping } from '@/core/retype';
import { sayPlaceIn } from './place';
import { sayVoice } from './kit';
import type { Say } from './say';
import { saySixteenths, saySubdivision } from './time';

/** What tells a reading of typed text from the others. */
export function sayRetyping(say: Say, means: Retyping, exercise: Exercise): string {
  const { t } = say;
  switch (means.kind) {
    case 'same':
      return t('retype.same');
    case 'text':
      return means.text;
    case 'as-sticking':
      return t('retype.asSticking', { text: means.text });
    case 'changes-out':
      return t('retype.changesOut', { text: means.text });
    case 'even':
      return t('retype.even', { sticking: means.sticking, sixteenths: saySixteenths(say) });
    case 'rhythm': {
      const { right, left, sticking, slot } = means;
      return t('retype.rhythm', { right, left, sticking, grid: saySubdivision(say, slot) });
    }
    case 'by-hand':
      return t('retype.byHand', { notes: means.notes });
    case 'places':
      return means.at.map((at) => sayPlaceIn(say, at, exercise)).join(', ') || t('retype.rests');
  }
}

/** A rhythm of two hands by its numbers. @example '2 in the right hand against 3 in the left' */
export function sayAgainst({ t }: Say, { right, left }: { right: number; left: number }): string {
  return t('retype.against', { right, left });
}

/** Lanes of a typed ostinato. @example 'bass drum: x--x--x- in 8ths' */
export function sayLanes(say: Say, lanes: readonly Lane[]): string {
  return lanes
    .map(({ limb, voice: id, slot, grid }) => {
      const said = { voice: sayVoice(say, id), grid, slots: saySubdivision(say, slot) };
      return isHand(limb) || limb !== usualLimb(id)
        ? say.t('retype.laneOf', { ...said, limb })
        : say.t('retype.lane', said);
    })
    .join('; ');
}
