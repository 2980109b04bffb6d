import { daysBetween, sayDay } from '../calendar';
import { sayCount } from '../issue';
import type { Help } from './forecast';
import type { Unfit } from './unfit';

type Names = readonly { readonly name: string }[];

/** What does not fit, and what to do about it, in words.
 * @param works their names, by place */
export function sayUnfit(unfit: Unfit, works: Names): string {
  switch (unfit.kind) {
    case 'no-kit':
      return `${list(unfit.works, works)} ${unfit.works.length === 1 ? 'needs' : 'need'} the kit, and no day has one. Set a day to kit, or leave it out.`;
    case 'too-long':
      return `${nameOf(unfit.work, works)}: one try takes ${minutes(unfit.needs)} at least, the longest stretch is ${minutes(unfit.has)}. Give it a shorter dosage, or a day more minutes.`;
    case 'late': {
      const late = `Not by ${sayDay(unfit.target)}: ${list(unfit.works, works)}.`;
      if (unfit.drop.length > 0) {
        return `${late} Without ${list(unfit.drop, works)} the others are.`;
      }
      return `${late} Drop ${unfit.works.length === 1 ? 'it' : 'them'}, add minutes or days, or set a later date.`;
    }
    case 'not-begun':
      return `Not begun within ${sayCount(unfit.weeks, 'week')}: ${list(unfit.works, works)}. Add minutes, or drop what can wait.`;
  }
}

/** What would help, and what it brings. */
export function sayHelp(help: Help, works: Names): string {
  const gain = help.days === null ? `reached by ${sayDay(help.reached)}` : earlier(help.days);
  switch (help.kind) {
    case 'day':
      return `${help.minutes} min on ${help.weekday} too: ${gain}`;
    case 'minutes':
      return `${help.more} min more a day: ${gain}`;
    case 'keeps':
      return `Every planned day kept: ${gain}`;
    case 'fewer':
      return `Without ${nameOf(help.work, works)}: ${gain}`;
    case 'smaller-step':
      return `Half the step for ${nameOf(help.work, works)}: ${gain}`;
  }
}

/** @example earlier(16) // => '2 weeks earlier' */
function earlier(days: number): string {
  const weeks = Math.round(days / 7);
  return `${days < 14 ? sayCount(days, 'day') : sayCount(weeks, 'week')} earlier`;
}

function minutes(seconds: number): string {
  return `${Math.ceil(seconds / 60)} min`;
}

function nameOf(index: number, works: Names): string {
  return works[index]?.name ?? '';
}

/** Longer lists name the first ones. */
const MOST_NAMES = 4;

function list(indexes: readonly number[], works: Names): string {
  const names = indexes.slice(0, MOST_NAMES).map((index) => nameOf(index, works));
  const more = indexes.length - names.length;
  const all = more > 0 ? [...names, `${more} more`] : names;
  const last = all.at(-1) ?? '';
  return all.length < 2 ? last : `${all.slice(0, -1).join(', ')} and ${last}`;
}

/** @example sayRange('2026-12-01', '2026-12-20', today) // => '1 Dec to 20 Dec' */
export function sayRange(early: string | null, late: string | null, today: string): string {
  if (early === null) return 'not within half a year';
  const from = daysBetween(today, early) === 0 ? 'today' : sayDay(early);
  if (late === null) return `${from} or later`;
  return early === late ? from : `${from} to ${sayDay(late)}`;
}
