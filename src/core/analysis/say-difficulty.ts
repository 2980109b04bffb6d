import { sayCount, unreachable } from '../issue';
import { letterOf, limbName, mirrorLimb } from '../kit';
import { ORNAMENT_POINTS, type DifficultyFacts, type OffBeatShare } from './difficulty';

/** How the count of a part comes about.
 * @example { part: 'notes a beat', instants: 8, beats: 4 } // => '8 instants ÷ 4 beats' */
export function sayDifficulty(facts: DifficultyFacts): string {
  switch (facts.part) {
    case 'limbs':
      return facts.limbs.map(letterOf).join(' ');
    case 'combinations':
      return `${facts.number} different`;
    case 'changes':
      return `${facts.number} different, one to the next`;
    case 'takeovers':
      return `${facts.number} between hands and feet`;
    case 'feet in a row':
      return `${facts.number} after the first`;
    case 'notes a beat':
      return `${sayCount(facts.instants, 'instant')} ÷ ${sayCount(facts.beats, 'beat')}`;
    case 'off the beat':
      return facts.shares
        .filter(({ halves, between }) => halves + between > 0)
        .map(sayShare)
        .join(' + ');
    case 'over the beat':
      return `${sayCount(facts.notes, 'note')} ÷ ${sayCount(facts.bars, 'bar')}`;
    case 'grids':
      return `${facts.kinds} − 1`;
    case 'speed': {
      const limbs = facts.limbs.map(
        ({ limb, rate, easy }) => `${letterOf(limb)} ${rate} ÷ ${easy}`,
      );
      return `strokes a second: ${limbs.join(' + ')}`;
    }
    case 'nearest':
      return `${letterOf(facts.limb)} ${facts.ms} ms: ${facts.easyMs} ÷ ${facts.ms} − 1`;
    case 'travel':
      return `${sayCount(facts.ways, 'way')}, the shortest ${facts.ms} ms: ${facts.ways} + ${facts.easyMs} ÷ ${facts.ms}`;
    case 'foot to foot':
      return facts.from
        .map((limb) => `${limbName(limb)} into ${limbName(mirrorLimb(limb))}`)
        .join(', ');
    case 'ornaments':
      return facts.ornaments.map((one) => `${one} ${ORNAMENT_POINTS[one]}`).join(' + ');
    default:
      return unreachable(facts);
  }
}

function sayShare({ limb, halves, between, all }: OffBeatShare): string {
  const atHalf = halves === 0 ? '' : `${halves} on the half × 0.5`;
  const inBetween = between === 0 ? '' : `${between} between`;
  return `${letterOf(limb)} (${[atHalf, inBetween].filter(Boolean).join(' + ')}) ÷ ${all}`;
}
