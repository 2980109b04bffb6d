import { unreachable } from '@/core/issue';
import { usualLimb, type Assignment } from '@/core/kit';
import { DYNAMICS, type Dynamic, type Ornament } from '@/core/pattern';
import type { Change } from '@/core/recipe';
import type { SubdivisionId } from '@/core/time';
import { CHOSEN_NOTES, turnLetters, type ChosenNotes } from '@/core/transform';
import { sayLimb, sayLimbs, sayVoice } from './kit';
import type { Say } from './say';
import { saySlot, saySubdivision } from './time';

/** @example sayDynamic(ENGLISH, 'ghost') // => 'ghost' */
export function sayDynamic({ t }: Say, dynamic: Dynamic): string {
  return t(`change.dynamic.${dynamic}`);
}

/** @example sayOrnament(ENGLISH, 'flam') // => 'flam' */
export function sayOrnament({ t }: Say, ornament: Ornament): string {
  return t(`change.ornament.${ornament}`);
}

/** All dynamics, by what they are called. */
export function sayDynamics(say: Say): Readonly<Record<Dynamic, string>> {
  return Object.fromEntries(DYNAMICS.map((one) => [one, sayDynamic(say, one)])) as Record<
    Dynamic,
    string
  >;
}

/** Which notes are meant, by what they are called. */
export function sayChosenNotes({ t }: Say): Readonly<Record<ChosenNotes, string>> {
  return Object.fromEntries(CHOSEN_NOTES.map((one) => [one, t(`change.notes.${one}`)])) as Record<
    ChosenNotes,
    string
  >;
}

/** `snare`, or `hi-hat foot with the right foot` where the limb is not the usual one. */
export function sayAssignment(say: Say, { limb, voice: id }: Assignment): string {
  const pedalOrSnare = id === 'bass' || id === 'snare' || id === 'hat-foot';
  const voice = sayVoice(say, id);
  return pedalOrSnare && usualLimb(id) === limb
    ? voice
    : say.t('change.with', { voice, limb: sayLimb(say, limb) });
}

/** @example sayChange(ENGLISH, { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' }) // => 'line one 16th later' */
export function sayChange(say: Say, change: Change): string {
  const { t } = say;
  const part = 'part' in change ? t(`change.part.${change.part}`) : '';
  switch (change.kind) {
    case 'mirror':
      return t(change.what === 'hands' ? 'change.mirrorHands' : 'change.mirrorAll', { part });
    case 'reverse':
      return t('change.reverse', { part, grid: saySubdivision(say, change.slot) });
    case 'push':
      return t('change.push', {
        part,
        note: change.note,
        slots: saySlots(say, change.by, change.slot),
      });
    case 'swap-feet':
      return t('change.swapFeet', { part });
    case 'footing':
      return t(change.school === 'grid' ? 'change.footingGrid' : 'change.footingGroups', { part });
    case 'give':
      return t('change.give', {
        part,
        limb: sayLimb(say, change.from),
        to: sayAssignment(say, change.to),
      });
    case 'revoice': {
      const [from, to] = [sayVoice(say, change.from), sayVoice(say, change.to)];
      if (change.limb === undefined) return t('change.revoice', { part, from, to });
      return t('change.revoiceOf', { part, limb: sayLimb(say, change.limb), from, to });
    }
    case 'displace':
      return sayDisplacement(say, change, part);
    case 'substitute': {
      const { place, every, hands } = change;
      return t('change.substitute', {
        ...{ part, place, every, hands },
        to: sayAssignment(say, change.to),
      });
    }
    case 'turn': {
      const voices = change.voices.map((id) => sayVoice(say, id)).join(', ');
      return t('change.turn', { part, voices, letters: turnLetters(change) });
    }
    case 'every-nth': {
      const { nth, first, of } = change;
      const limb = sayLimb(say, of.limb);
      const notes = of.voice ? t('change.notesOf', { limb, voice: sayVoice(say, of.voice) }) : limb;
      return t('change.everyNth', { to: sayAssignment(say, change.to), nth, notes, first });
    }
    case 'place':
      return t('change.place', {
        to: sayAssignment(say, change.to),
        grid: change.grid,
        slots: saySubdivision(say, change.slot),
      });
    case 'thicken': {
      const { count, side } = change;
      const around =
        change.around === 'accents' ? t('change.accent') : sayVoice(say, change.around);
      const said = {
        around,
        side,
        to: sayAssignment(say, change.to),
        slot: saySlot(say, change.slot),
      };
      return count === 1
        ? t('change.thickenOne', said)
        : t('change.thickenMany', { ...said, count });
    }
    case 'thin':
      return t('change.thin', { part, limb: sayLimb(say, change.limb), keep: change.keep });
    case 'orchestrate':
      return t('change.orchestrate', {
        part,
        notes: t(`change.chosen.${change.notes}`),
        whose:
          change.limb === null
            ? t('change.theHands')
            : t('change.theLimb', { limb: sayLimb(say, change.limb) }),
        voice: sayVoice(say, change.to),
        pass: change.pass,
      });
    case 'aim':
      return sayAim(say, change);
    case 'only':
      return t('change.only', { limbs: sayLimbs(say, change.limbs) });
    case 'excerpt': {
      const { from, slots, slot } = change;
      const grid = saySubdivision(say, slot);
      return from === 0
        ? t('change.excerptFirst', { slots, grid })
        : t('change.excerpt', { slots, grid, from });
    }
    case 'plain':
      return t('change.plain');
    case 'grace-width':
      return t('change.graceWidth', { ms: change.ms });
    case 'open-graces':
      return t('change.openGraces', { grid: saySubdivision(say, change.slot) });
    case 'hand':
      return t('change.hand', { notes: change.edits.length });
    default:
      return unreachable(change);
  }
}

function sayAim(say: Say, change: Extract<Change, { kind: 'aim' }>): string {
  const { bars, times, by, over } = change;
  return say.t('change.aim', { bars, times, by, where: sayWhere(say, change), over });
}

function sayWhere(say: Say, aim: Extract<Change, { kind: 'aim' }>): string {
  const { t } = say;
  const slots = saySlots(say, Math.abs(aim.lands), aim.slot);
  if (aim.by === 'start') {
    const on = aim.on ?? { bar: aim.bars, beat: 1 };
    return aim.lands === 0 ? t('change.onBeat', on) : t('change.offBeat', { ...on, slots });
  }
  if (aim.lands === 0) return t('change.onBeat1');
  return t('change.offBeat1', { slots, way: aim.lands < 0 ? 'before' : 'after' });
}

function saySlots(say: Say, count: number, slot: SubdivisionId): string {
  return count === 1
    ? say.t('change.oneSlot', { slot: saySlot(say, slot) })
    : say.t('change.slots', { count, grid: saySubdivision(say, slot) });
}

function sayDisplacement(
  say: Say,
  { what, by, slot }: Extract<Change, { kind: 'displace' }>,
  part: string,
): string {
  const count = Math.abs(by);
  return say.t('change.displace', {
    what: what === 'pattern' ? part : say.t('change.partOf', { part, what }),
    by: what === 'sticking' ? say.t('change.strokes', { count }) : saySlots(say, count, slot),
    way: by < 0 ? 'earlier' : 'later',
  });
}
