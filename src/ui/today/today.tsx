import { clsx } from 'clsx';
import Link from 'next/link';
import { must, sayCount } from '@/core/issue';
import { dosageNow, dueDay, rungAt } from '@/core/ladder';
import { hoursOn, type Entry, type Surface } from '@/core/plan';
import { sentenceText } from '@/core/recipe';
import {
  daysAfter,
  isDue,
  keyOf,
  type Note,
  type StandItem,
  type Speech,
  type StudentPlan,
} from '@/core/studio';
import { parseMeter, tempoFor } from '@/core/time';
import {
  sayDate,
  sayMinutes,
  sayMissed,
  sayEntryKind,
  sayDay,
  sayDosage,
  sayRung,
  sayCaution,
  sayIn,
  sayWhy,
  type Say,
} from '@/words';
import { Words } from '../base';
import { cautionsOf, rowsOf } from '../plan';
import { TempoGlyph } from '../play';
import { StudioDay } from './studio-day';

/** What a student has time for just now. */
interface Now {
  readonly minutes: number;
  readonly on: Surface;
}

/** What to practise: in order, how much, at which rung, and why, within the minutes there are; then what
 * waits, and what the teacher wrote. */
export function Today({
  name,
  speech,
  items,
  plan,
  entries,
  now,
  notes,
}: {
  name: string;
  speech: Speech;
  items: readonly StandItem[];
  plan: StudentPlan;
  /** What is planned, or what there is time for. */
  entries: readonly Entry[];
  /** Null keeps to the schedule. */
  now: Now | null;
  notes: readonly Note[];
}) {
  const say = sayIn('en-GB', speech);
  const { planning, missed, done } = plan;
  const { today, schedule, works } = planning;
  const byKey = new Map(items.map((item) => [keyOf(item), item]));
  const rows = rowsOf({ entries }).flatMap((row) => {
    const item = byKey.get(works[row.work]?.id ?? '');
    return item ? [{ ...row, item }] : [];
  });
  const planned = new Set(rows.map(({ item }) => keyOf(item)));
  const also = items.filter((item) => isDue(item) && !planned.has(keyOf(item)));
  const later = items.filter((item) => !isDue(item) && !planned.has(keyOf(item)));
  const seconds = entries.reduce((sum, entry) => sum + entry.seconds, 0);
  const doneToday = done.find((one) => one.day === today);
  return (
    <main className="mx-auto flex max-w-4xl flex-col gap-5 px-6 py-8">
      <header className="flex flex-wrap items-end gap-4">
        <div>
          <h1 className="font-serif text-4xl">Today</h1>
          <p className="text-lg text-soft">
            {name}
            {rows.length > 0 &&
              ` · ${sayCount(planned.size, 'exercise')}, ${sayMinutes(say, seconds)}`}
            {doneToday && ` · ${sayMinutes(say, doneToday.seconds)} done`}
          </p>
        </div>
        {rows.length + also.length > 0 && (
          <Link
            href={standOf(now)}
            className="ml-auto rounded-sm bg-warm px-12 py-4 text-3xl font-semibold text-warm-ink"
          >
            Start
          </Link>
        )}
      </header>
      <StudioDay today={today} />
      {missed.length > 0 && (
        <p role="status" className="border-l-3 border-warm pl-3 text-lg">
          {sayMissed(say, missed)}
        </p>
      )}
      {notes.length > 0 && (
        <ul aria-label="From your teacher" className="border-l-3 border-warm pl-3 text-lg">
          {notes.map((note) => (
            <li key={note.id}>
              {note.text} <span className="text-sm text-soft">{sayDay(say, note.day)}</span>
            </li>
          ))}
        </ul>
      )}
      {items.length === 0 ? (
        <p className="text-lg">
          Nothing to practise yet. When your teacher gives you a program, it stands here.
        </p>
      ) : (
        <Minutes now={now} usual={hoursOn(schedule, today).on} />
      )}
      {items.length > 0 && rows.length === 0 && (
        <p className="text-lg">{whyNothing(say, plan, now, also.length > 0)}</p>
      )}
      {rows.length > 0 && <Rows say={say} rows={rows} now={now} />}
      <Others
        title="also due"
        items={also.map((item) => ({
          item,
          href: standOf(now, item),
          why: sayWhy(say, item.why),
        }))}
      />
      <Others
        title="later"
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
  if (now) return 'Nothing fits into that time.';
  const next = Array.from({ length: LOOK_AHEAD }, (_, index) => daysAfter(today, index + 1)).find(
    (day) => hoursOn(schedule, day).minutes > 0,
  );
  const then = next ? ` Next: ${sayDate(say, next)}, ${hoursOn(schedule, next).minutes} min.` : '';
  if (!open) return `Nothing is due today. What you have passed comes back later.${then}`;
  if (hoursOn(schedule, today).minutes === 0) return `No practice is planned today.${then}`;
  if (done.some((one) => one.day === today)) return `Done for today.${then}`;
  return 'Nothing fits into today’s minutes.';
}

/** Minutes that are offered at a touch. */
const OFFERED = [5, 10, 15, 30, 45];

/** Cuts the day to the minutes there are just now, and to kit or pad. */
function Minutes({ now, usual }: { now: Now | null; usual: Surface }) {
  const on = now?.on ?? usual;
  return (
    <nav aria-label="Minutes now" className="flex flex-wrap items-center gap-2 text-lg">
      <span className="label">I have</span>
      <Cut href="/today" on={now === null}>
        as planned
      </Cut>
      {OFFERED.map((minutes) => (
        <Cut
          key={minutes}
          href={`/today?minutes=${minutes}&on=${on}`}
          on={now?.minutes === minutes}
        >
          {minutes} min
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
              {surface}
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
  title,
  items,
}: {
  title: string;
  items: readonly {
    readonly item: StandItem;
    readonly href: string | null;
    readonly why: string;
  }[];
}) {
  if (items.length === 0) return null;
  const id = `${title.replace(' ', '-')}-title`;
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className="label mb-1">
        {title}
      </h2>
      <ul className="border-t border-line">
        {items.map(({ item, href, why }) => (
          <li key={keyOf(item)} className="border-b border-line">
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
  if (waitsFor.length > 0) return `after ${waitsFor.join(' and ')}`;
  const due = dueDay(state);
  return due ? `passed; again on ${sayDay(say, due)}` : '';
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
        <li key={`${keyOf(item)} ${kind} ${on}`} className="border-b border-line">
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
                {on === 'pad' && <span className="text-lg text-soft"> · on the pad</span>}
                {item.item.kind === 'own' && (
                  <span className="text-lg text-soft"> · make your own version</span>
                )}
              </span>
              <span className="block text-sm text-soft">
                <Words text={sentenceText(item.plays)} />
              </span>
              <span className="mt-1 block">
                {sayWhy(say, item.why)}
                {item.today.tries > 0 && (
                  <span className="text-soft">
                    {' '}
                    Today: {sayCount(item.today.tries, 'try', 'tries')},{' '}
                    {Math.round(item.today.seconds / 60)} min.
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
                {tries} × {sayDosage(say, dosageNow(item.state, item.item.course.dosage))}
              </span>
              <span className="block text-sm text-soft">{sayMinutes(say, seconds)} in all</span>
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
