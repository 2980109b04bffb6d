import { sayCount, unreachable } from '../issue';
import type { Assignment } from '../interpret';
import { limbName, usualLimb, voice } from '../kit';
import { subdivision, type SubdivisionId } from '../time';
import { turnLetters } from '../transform';
import type { Change } from './schema';

/** `snare`, or `hi-hat foot with the right foot` where the limb is not the usual one. */
export function sayPart({ limb, voice: id }: Assignment): string {
  const pedalOrSnare = id === 'bass' || id === 'snare' || id === 'hat-foot';
  return pedalOrSnare && usualLimb(id) === limb
    ? voice(id).name
    : `${voice(id).name} with the ${limbName(limb)}`;
}

const SINGULAR: Partial<Record<SubdivisionId, string>> = {
  '4': 'quarter',
  '8': '8th',
  '8t': '8th triplet',
  '16': '16th',
  '16t': 'sextuplet',
};

/** @example sayChange({ kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' }) // => 'line one 16th later' */
export function sayChange(change: Change): string {
  const part = 'part' in change ? PARTS[change.part] : '';
  switch (change.kind) {
    case 'mirror':
      return change.what === 'hands'
        ? `${part} mirrored, feet stay`
        : `${part} mirrored, all limbs`;
    case 'reverse':
      return `${part} backwards in ${subdivision(change.slot).name}`;
    case 'push':
      return `${part}, note ${change.note} pushed ${saySlots(change.by, change.slot)}`;
    case 'swap-feet':
      return `${part}, feet swapped`;
    case 'footing':
      return change.school === 'grid'
        ? `${part}, double pedal by the grid`
        : `${part}, double pedal, right leads each group`;
    case 'give':
      return `${part}, ${limbName(change.from)} given to ${sayPart(change.to)}`;
    case 'revoice':
      return `${part}, ${voice(change.from).name} to ${voice(change.to).name}`;
    case 'displace':
      return sayDisplacement(change, part);
    case 'substitute':
      return `${part}, stroke ${change.place} of every ${change.every} to ${sayPart(change.to)}${change.hands === 'anew' ? ', hands anew' : ''}`;
    case 'turn': {
      const names = change.voices.map((id) => voice(id).name).join(', ');
      return `${part}, ${names} as ${turnLetters(change)}`;
    }
    case 'every-nth': {
      const { limb, voice: only } = change.of;
      const notes = `${limbName(limb)}${only ? ` ${voice(only).name}` : ''}`;
      const which = change.nth === 1 ? 'every note' : `one of every ${change.nth} notes`;
      return `${sayPart(change.to)} on ${which} of the ${notes}, from note ${change.first}`;
    }
    case 'place':
      return `${sayPart(change.to)} placed ${change.grid} in ${subdivision(change.slot).name}`;
    case 'thicken': {
      const slot = SINGULAR[change.slot] ?? `slot of ${subdivision(change.slot).name}`;
      const where = `${SIDES[change.side]} each ${change.around === 'accents' ? 'accent' : voice(change.around).name}`;
      return change.count === 1
        ? `${sayPart(change.to)} one ${slot} ${where}`
        : `${change.count} × ${sayPart(change.to)} ${where}, one ${slot} apart`;
    }
    case 'thin':
      return `${part}, ${limbName(change.limb)} thinned to ${change.keep}`;
    case 'orchestrate': {
      const whose = change.limb === null ? 'the hands' : `the ${limbName(change.limb)}`;
      const pass = change.pass === 'second' ? ', every second time' : '';
      return `${part}, ${NOTES[change.notes]} of ${whose} to ${voice(change.to).name}${pass}`;
    }
    case 'aim':
      return sayAim(change);
    case 'only':
      return `${change.limbs.map(limbName).join(' and ')} alone`;
    case 'excerpt': {
      const { from, slots, slot } = change;
      const named = subdivision(slot).name;
      return from === 0
        ? `only the first ${slots} ${named}`
        : `only ${slots} ${named} from ${from} on`;
    }
    case 'plain':
      return 'without ornaments';
    case 'open-graces':
      return `grace notes opened in ${subdivision(change.slot).name}`;
    case 'hand':
      return `${sayCount(change.edits.length, 'note')} by hand`;
    default:
      return unreachable(change);
  }
}

const PARTS = { all: 'everything', line: 'line', over: 'ostinato' } as const;
const SIDES = { before: 'before', after: 'after', both: 'on both sides of' } as const;
const NOTES = {
  all: 'all notes',
  lone: 'lone notes',
  unisons: 'unisons',
  accents: 'accents',
  ghosts: 'ghosts',
  'on the beat': 'notes on the beat',
  'off the beat': 'notes off the beat',
} as const;

function sayAim(change: Extract<Change, { kind: 'aim' }>): string {
  const what = change.by === 'end' ? 'ending' : 'its last note';
  const where =
    change.lands === 0
      ? 'on beat 1'
      : `${saySlots(Math.abs(change.lands), change.slot)} ${change.lands < 0 ? 'before' : 'after'} beat 1`;
  const often = change.times === 1 ? 'once' : `${change.times} times`;
  const over = change.over === 'rests' ? ', the ostinato rests under it' : '';
  return `${sayCount(change.bars, 'bar')}, the line ${often}, ${what} ${where}${over}`;
}

function saySlots(count: number, slot: SubdivisionId): string {
  if (count !== 1) return `${count} ${subdivision(slot).name}`;
  return `one ${SINGULAR[slot] ?? `slot of ${subdivision(slot).name}`}`;
}

function sayDisplacement(change: Extract<Change, { kind: 'displace' }>, part: string): string {
  const count = Math.abs(change.by);
  const by =
    change.what === 'sticking'
      ? `${count === 1 ? 'one stroke' : `${count} strokes`}`
      : saySlots(count, change.slot);
  const what = change.what === 'pattern' ? part : `${part} ${change.what}`;
  return `${what} ${by} ${change.by < 0 ? 'earlier' : 'later'}`;
}
