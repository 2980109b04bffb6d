import { DYNAMICS, type Dynamic, type Ornament } from '@/core/pattern';
import { CHOSEN_NOTES, type ChosenNotes } from '@/core/transform';
import type { Say } from './say';

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
