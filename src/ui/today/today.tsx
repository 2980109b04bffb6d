import { clsx } from 'clsx';
import { must } from '@/core/issue';
import { dosageNow, dueDay, rungAt } from '@/core/ladder';
import { asPlayed } from '@/core/recipe';
import { hoursOn, type PlannedTry, type Surface } from '@/core/plan';
import {
  daysAfter,
  isDue,
  itemKey,
  type Note,
  type OpenTry,
  type StandItem,
  type StudentPlan,
} from '@/core/studio';
import { parseMeter, tempoFor } from '@/core/time';
import {
  type Say,
  sayCaution,
  sayDate,
  sayDay,
  sayDosage,
  sayEntryKind,
  sayList,
  sayMinutes,
  sayMissed,
  sayRung,
  sayWhyToStudent,
} from '@/words';
import { JudgeLater } from '../log';
import { SentenceText } from '../marks';
import { cautionsOf, rowsOf } from '../plan';
import { TempoGlyph } from '../play';
import { StudioDay } from './studio-day';
import { Link } from '../base';

/** What a student has time for just now. */
interface Now {
  readonly minutes: number;
  readonly on: Surface;
}

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
          why: sayWhyToStudent(say, item.why),
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

/** The Stand, with what there is time for; an item comes first. */
function standOf(now: Now | null, item?: StandItem): string {
  const query = new URLSearchParams({
    ...(item && { item: item.item.id }),
    ...(now && { minutes: String(now.minutes), on: now.on }),
  }).toString();
  return query ? `/stand?${query}` : '/stand';
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

/** Minutes that are offered at a touch. */
const OFFERED = [5, 10, 15, 30, 45];

/** Cuts the day to the minutes there are just now, and to kit or pad. */
function Minutes({ say, now, usual }: { say: Say; now: Now | null; usual: Surface }) {
  const on = now?.on ?? usual;
  return (
    <nav
      aria-label={say.t('screen.today.minutesNow')}
      className="flex flex-wrap items-center gap-2 text-lg"
    >
      <span className="label">{say.t('screen.today.iHave')}</span>
      <Cut href="/today" on={now === null}>
        {say.t('screen.today.asPlanned')}
      </Cut>
      {OFFERED.map((minutes) => (
        <Cut
          key={minutes}
          href={`/today?minutes=${minutes}&on=${on}`}
          on={now?.minutes === minutes}
        >
          {say.t('screen.common.minutesShort', { minutes })}
        </Cut>
      ))}
      {now && (
        <span className="ml-2 flex gap-2">
          {(['kit', 'pad'] as const).map((surface) => (
            <Cut
              key={surface}
              href={`/today?minutes=${now.minutes}&on=${surface}`}
              on={now.on === surface}
            >
              {say.t(`screen.common.surface.${surface}`)}
            </Cut>
          ))}
        </span>
      )}
    </nav>
  );
}

function Cut({ href, on, children }: { href: string; on: boolean; children: React.ReactNode }) {
  return (
    <Link
      href={href}
      aria-current={on ? 'true' : undefined}
      className={clsx(
        'rounded-sm border px-3 py-1.5',
        on ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet hover:border-soft',
      )}
    >
      {children}
    </Link>
  );
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

function whyLater(say: Say, { waitsFor, state }: StandItem): string {
  if (waitsFor.length > 0)
    return say.t('screen.common.afterThese', { names: sayList(say, waitsFor) });
  const due = dueDay(state);
  return due ? say.t('screen.today.passedAgain', { day: sayDay(say, due) }) : '';
}

function Rows({
  say,
  rows,
  now,
}: {
  say: Say;
  now: Now | null;
  rows: readonly (ReturnType<typeof rowsOf>[number] & { readonly item: StandItem })[];
}) {
  return (
    <ol className="border-t border-line">
      {rows.map(({ item, kind, tries, seconds, on }, index) => (
        <li key={`${itemKey(item)} ${kind} ${on}`} className="border-b border-line">
          <Link
            href={standOf(now, item)}
            className="grid grid-cols-[2rem_minmax(0,1fr)_auto] gap-x-4 px-1 py-4 hover:bg-sheet"
          >
            <span className="font-serif text-2xl text-soft">{index + 1}</span>
            <span>
              <span className="block font-serif text-2xl leading-7">
                {item.item.name}
                {kind !== 'new' && (
                  <span className="text-lg text-soft"> · {sayEntryKind(say, kind)}</span>
                )}
                {on === 'pad' && (
                  <span className="text-lg text-soft"> · {say.t('screen.today.onThePad')}</span>
                )}
                {item.item.kind === 'own' && (
                  <span className="text-lg text-soft"> · {say.t('screen.today.makeYourOwn')}</span>
                )}
              </span>
              <span className="block text-sm text-soft">
                <SentenceText say={say} recipe={asPlayed(item.plays)} />
              </span>
              <span className="mt-1 block">
                {sayWhyToStudent(say, item.why)}
                {item.today.tries > 0 && (
                  <span className="text-soft">
                    {' '}
                    {say.t('screen.today.soFar', {
                      tries: item.today.tries,
                      minutes: Math.round(item.today.seconds / 60),
                    })}
                  </span>
                )}
              </span>
            </span>
            <span className="text-right">
              <span className="block font-serif text-4xl whitespace-nowrap">
                <TempoGlyph tempo={tempoOf(item)} size={26} /> {item.state.bpm}
              </span>
              <span className="block text-soft">
                {rungText(say, item)}
                {say.t('screen.today.times', {
                  tries,
                  dosage: sayDosage(say, dosageNow(item.state, item.item.course.dosage)),
                })}
              </span>
              <span className="block text-sm text-soft">
                {say.t('screen.today.inAll', { minutes: sayMinutes(say, seconds) })}
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}

/** The rung, where it is more than a tempo. */
function rungText(say: Say, { state }: StandItem): string {
  const { asks } = rungAt(state.rungs, state.rung);
  return asks.kind === 'tempo' ? '' : `${sayRung(say, asks)} · `;
}

function tempoOf({ plays, state }: StandItem) {
  return tempoFor(must(parseMeter(plays.meter)), state.bpm);
}
