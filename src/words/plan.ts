import { daysBetween, type Day } from '@/core/calendar';
import type { EntryKind, Help, Unfit } from '@/core/plan';
import { sayDate, sayDay, sayWeekdayName } from './calendar';
import { sayList, type Say } from './say';

type Names = readonly { readonly name: string }[];

/** Longer lists name the first ones. */
const MOST_NAMES = 4;

function sayNames(say: Say, indexes: readonly number[], works: Names): string {
  const names = indexes.slice(0, MOST_NAMES).map((index) => nameOf(index, works));
  const more = indexes.length - names.length;
  return sayList(say, more > 0 ? [...names, say.t('plan.more', { count: more })] : names);
}

function nameOf(index: number, works: Names): string {
  return works[index]?.name ?? '';
}

/** What does not fit, and what to do about it.
 * @param works their names, by place */
export function sayUnfit(say: Say, unfit: Unfit, works: Names): string {
  const { t } = say;
  switch (unfit.kind) {
    case 'no-kit': {
      const count = unfit.works.length;
      return t('plan.unfit.no-kit', { count, names: sayNames(say, unfit.works, works) });
    }
    case 'too-long':
      return t('plan.unfit.too-long', {
        name: nameOf(unfit.work, works),
        needs: Math.ceil(unfit.needs / 60),
        has: Math.ceil(unfit.has / 60),
      });
    case 'late': {
      const late = { target: sayDay(say, unfit.target), names: sayNames(say, unfit.works, works) };
      return unfit.drop.length > 0
        ? t('plan.unfit.lateDrop', { ...late, drop: sayNames(say, unfit.drop, works) })
        : t('plan.unfit.late', { ...late, count: unfit.works.length });
    }
    case 'not-begun':
      return t('plan.unfit.not-begun', {
        weeks: unfit.weeks,
        names: sayNames(say, unfit.works, works),
      });
  }
}

/** What would help, and what it brings. */
export function sayHelp(say: Say, help: Help, works: Names): string {
  const { t } = say;
  const gain =
    help.days === null
      ? t('plan.gain.reached', { day: sayDay(say, help.reached) })
      : sayEarlier(say, help.days);
  switch (help.kind) {
    case 'day': {
      const weekday = sayWeekdayName(say, help.weekday);
      return t('plan.help.day', { minutes: help.minutes, weekday, gain });
    }
    case 'minutes':
      return t('plan.help.minutes', { more: help.more, gain });
    case 'keeps':
      return t('plan.help.keeps', { gain });
    case 'fewer':
      return t('plan.help.fewer', { name: nameOf(help.work, works), gain });
    case 'smaller-step':
      return t('plan.help.smaller-step', { name: nameOf(help.work, works), gain });
    case 'fewer-clean': {
      const { clean, was } = help;
      return t('plan.help.fewer-clean', { name: nameOf(help.work, works), clean, was, gain });
    }
    case 'last-tries': {
      const { clean, of } = help;
      return t('plan.help.last-tries', { name: nameOf(help.work, works), clean, of, gain });
    }
    case 'lower-target':
      return t('plan.help.lower-target', {
        ...{ name: nameOf(help.work, works), rungs: help.rungs },
        gain,
      });
    case 'lower-targets':
      return t('plan.help.lower-targets', { percent: Math.round(100 * help.share), gain });
  }
}

/** @example sayEarlier(ENGLISH, 16) // => '2 weeks earlier' */
function sayEarlier({ t }: Say, days: number): string {
  if (days < 14) return t('plan.gain.days', { days });
  return t('plan.gain.weeks', { weeks: Math.round(days / 7) });
}

/** When something is reached; where the end is open, what lies in the middle is said, too.
 * @example sayRange(ENGLISH, { early: '2026-12-01', middle: '2026-12-09', late: '2026-12-20' }, today)
 * // => '1 Dec to 20 Dec' */
export function sayRange(
  say: Say,
  { early, middle, late }: Record<'early' | 'middle' | 'late', Day | null>,
  today: Day,
): string {
  const { t } = say;
  if (early === null) return t('plan.range.none');
  const from = daysBetween(today, early) === 0 ? t('plan.range.today') : sayDay(say, early);
  if (late === null) {
    return middle === null
      ? t('plan.range.orLater', { from })
      : t('plan.range.openEnd', { from, middle: sayDay(say, middle) });
  }
  return early === late ? from : t('plan.range.to', { from, to: sayDay(say, late) });
}

/** Longer lists of missed dates are counted. */
const MOST_DATES = 3;

/** @example sayMissed(ENGLISH, ['2026-03-02']) // => 'Missed: Mon 2 Mar. Rescheduled from today.' */
export function sayMissed(say: Say, missed: readonly Day[]): string {
  const { t } = say;
  const [first = ''] = missed;
  const dates =
    missed.length > MOST_DATES
      ? t('plan.missedSince', { count: missed.length, date: sayDate(say, first) })
      : missed.map((day) => sayDate(say, day)).join(', ');
  return t('plan.missed', { dates });
}

/** What kind of work an entry of a plan is. */
export function sayEntryKind({ t }: Say, kind: EntryKind): string {
  return t(`plan.kind.${kind}`);
}
