import { dueDay } from '@/core/ladder';
import { hoursOn, type PlannedTry } from '@/core/plan';
import {
  daysAfter,
  isDue,
  itemKey,
  type Note,
  type OpenTry,
  type StandItem,
  type StudentPlan,
} from '@/core/studio';
import {
  type Say,
  sayCaution,
  sayDate,
  sayDay,
  sayList,
  sayMinutes,
  sayMissed,
  sayWhyToStudent,
} from '@/words';
import { JudgeLater } from '../log';
import { cautionsOf, rowsOf } from '../plan';
import { StudioDay } from './studio-day';
import { Link } from '../base';
import { Rows } from './rows';
import { Minutes } from './time-cuts';
import { standOf, type Now } from './stand-of';

/** What to practise: in order, how much, at which rung, and why, within the minutes there are; then what
 * waits, and what the teacher wrote. */
export function Today({
  name,
  say,
  items,
  open,
  plan,
  entries,
  now,
  notes,
}: {
  name: string;
  say: Say;
  items: readonly StandItem[];
  /** Tries that are still to be judged. */
  open: readonly OpenTry[];
  plan: StudentPlan;
  /** What is planned, or what there is time for. */
  entries: readonly PlannedTry[];
  /** Null keeps to the schedule. */
  now: Now | null;
  notes: readonly Note[];
}) {
  const { planning, missed, done } = plan;
  const { today, schedule, works } = planning;
  const byKey = new Map(items.map((item) => [itemKey(item), item]));
  const rows = rowsOf({ entries }).flatMap((row) => {
    const item = byKey.get(works[row.work]?.id ?? '');
    return item ? [{ ...row, item }] : [];
  });
  const planned = new Set(rows.map(({ item }) => itemKey(item)));
  const also = items.filter((item) => isDue(item) && !planned.has(itemKey(item)));
  const later = items.filter((item) => !isDue(item) && !planned.has(itemKey(item)));
  const seconds = entries.reduce((sum, entry) => sum + entry.seconds, 0);
  const doneToday = done.find((one) => one.day === today);
  return (
    <main className="mx-auto flex max-w-4xl flex-col gap-5 px-6 py-8">
      <header className="flex flex-wrap items-end gap-4">
        <div>
          <h1 className="font-serif text-4xl">{say.t('screen.today.today')}</h1>
          <p className="text-lg text-soft">
            {name}
            {rows.length > 0 &&
              ` · ${say.t('screen.today.planned', { count: planned.size, minutes: sayMinutes(say, seconds) })}`}
            {doneToday &&
              ` · ${say.t('screen.today.done', { minutes: sayMinutes(say, doneToday.seconds) })}`}
          </p>
        </div>
        {rows.length + also.length > 0 && (
          <Link
            href={standOf(now)}
            className="ml-auto rounded-sm bg-warm px-12 py-4 text-3xl font-semibold text-warm-ink"
          >
            {say.t('screen.today.start')}
          </Link>
        )}
      </header>
      <StudioDay today={today} />
      <JudgeLater tries={open} />
      {missed.length > 0 && (
        <p role="status" className="border-l-3 border-warm pl-3 text-lg">
          {sayMissed(say, missed)}
        </p>
      )}
      {notes.length > 0 && (
        <ul
          aria-label={say.t('screen.today.fromYourTeacher')}
          className="border-l-3 border-warm pl-3 text-lg"
        >
          {notes.map((note) => (
            <li key={note.id}>
              {note.text} <span className="text-sm text-soft">{sayDay(say, note.day)}</span>
            </li>
          ))}
        </ul>
      )}
      {items.length === 0 ? (
        <p className="text-lg">{say.t('screen.today.nothingYet')}</p>
      ) : (
        <Minutes say={say} now={now} usual={hoursOn(schedule, today).on} />
      )}
      {items.length > 0 && rows.length === 0 && (
        <p className="text-lg">{whyNothing(say, plan, now, also.length > 0)}</p>
      )}
      {rows.length > 0 && <Rows say={say} rows={rows} now={now} />}
      <Others
        id="also-due"
        title={say.t(rows.length > 0 ? 'screen.today.alsoDue' : 'screen.today.readyToPlay')}
        items={also.map((item) => ({
          item,
          href: standOf(now, item),
          why: [whyNot(say, plan, now, item, rows.length > 0), sayWhyToStudent(say, item.why)]
            .filter(Boolean)
            .join(' '),
        }))}
      />
      <Others
        id="later"
        title={say.t('screen.today.later')}
        items={later.map((item) => ({ item, href: null, why: whyLater(say, item) }))}
      />
      {cautionsOf(say, entries, plan.items, planning).map((text) => (
        <p key={text} className="border-l-3 border-warm pl-3">
          {text}
        </p>
      ))}
      <p className="text-sm text-soft">{sayCaution(say)}</p>
    </main>
  );
}

/** Dates that are looked through for the next one with minutes. */
const LOOK_AHEAD = 14;

function whyNothing(
  say: Say,
  { planning: { schedule, today }, done }: StudentPlan,
  now: Now | null,
  open: boolean,
): string {
  if (now) return say.t('screen.today.nothingFitsNow');
  const next = Array.from({ length: LOOK_AHEAD }, (_, index) => daysAfter(today, index + 1)).find(
    (day) => hoursOn(schedule, day).minutes > 0,
  );
  const idle = hoursOn(schedule, today).minutes === 0;
  const over = done.some((one) => one.day === today);
  if (open && !idle && !over) return say.t('screen.today.nothingFitsToday');
  const why = say.t(
    !open
      ? 'screen.today.nothingDue'
      : idle
        ? 'screen.today.nothingPlanned'
        : 'screen.today.doneForToday',
  );
  if (!next) return why;
  const { minutes } = hoursOn(schedule, next);
  return `${why} ${say.t('screen.today.next', { date: sayDate(say, next), minutes })}`;
}

/** Exercises that are not played now, and why. */
function Others({
  id: name,
  title,
  items,
}: {
  id: string;
  title: string;
  items: readonly {
    readonly item: StandItem;
    readonly href: string | null;
    readonly why: string;
  }[];
}) {
  if (items.length === 0) return null;
  const id = `${name}-title`;
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className="label mb-1">
        {title}
      </h2>
      <ul className="border-t border-line">
        {items.map(({ item, href, why }) => (
          <li key={itemKey(item)} className="border-b border-line">
            {href ? (
              <Link
                href={href}
                className="flex flex-wrap items-baseline gap-x-3 py-2 hover:bg-sheet"
              >
                <span className="font-serif text-lg">{item.item.name}</span>
                <span className="text-soft">{why}</span>
                <span className="ml-auto font-serif text-2xl">{item.state.bpm}</span>
              </Link>
            ) : (
              <p className="flex flex-wrap items-baseline gap-x-3 py-2">
                <span className="font-serif text-lg">{item.item.name}</span>
                <span className="text-soft">{why}</span>
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Why something that is due is not among what is played now. */
function whyNot(
  say: Say,
  { planning: { works, schedule, today } }: StudentPlan,
  now: Now | null,
  item: StandItem,
  anyPlanned: boolean,
): string {
  if (!anyPlanned) return '';
  const { on, minutes } = now ?? hoursOn(schedule, today);
  const work = works.find(({ id }) => id === itemKey(item));
  if (work?.needsKit && on === 'pad') return say.t('screen.today.needsKit');
  return say.t('screen.today.noRoom', { minutes });
}

function whyLater(say: Say, { waitsFor, state }: StandItem): string {
  if (waitsFor.length > 0)
    return say.t('screen.common.afterThese', { names: sayList(say, waitsFor) });
  const due = dueDay(state);
  return due ? say.t('screen.today.passedAgain', { day: sayDay(say, due) }) : '';
}
