import { Words } from '../base';
import Link from 'next/link';
import { must, sayCount } from '@/core/issue';
import { dosageBars, dosageNow, rungAt, sayDosage } from '@/core/ladder';
import { expand, sentenceText } from '@/core/recipe';
import { CAUTION_LINE } from '@/core/safety';
import { isDue, sayDay, type Note, type StandItem } from '@/core/studio';
import { parseMeter, tempoFor, ticksToSeconds } from '@/core/time';
import { TempoGlyph } from '../play';

/** What to practise: in order, how much, at which rung, and why; then what waits, and what the teacher
 * wrote. */
export function Today({
  name,
  items,
  notes,
}: {
  name: string;
  items: readonly StandItem[];
  notes: readonly Note[];
}) {
  const open = items.filter((item) => isDue(item));
  const later = items.filter((item) => !isDue(item));
  const minutes = Math.round(open.reduce((sum, item) => sum + secondsOf(item), 0) / 60);
  return (
    <main className="mx-auto flex max-w-4xl flex-col gap-6 px-6 py-8">
      <header className="flex flex-wrap items-end gap-4">
        <div>
          <h1 className="font-serif text-4xl">Today</h1>
          <p className="text-lg text-soft">
            {name}
            {open.length > 0 && ` · ${sayCount(open.length, 'exercise')}, about ${minutes} min`}
          </p>
        </div>
        {open.length > 0 && (
          <Link
            href="/stand"
            className="ml-auto rounded-sm bg-warm px-12 py-4 text-3xl font-semibold text-warm-ink"
          >
            Start
          </Link>
        )}
      </header>
      {notes.length > 0 && (
        <ul aria-label="From your teacher" className="border-l-3 border-warm pl-3 text-lg">
          {notes.map((note) => (
            <li key={note.id}>
              {note.text} <span className="text-sm text-soft">{sayDay(note.day)}</span>
            </li>
          ))}
        </ul>
      )}
      {items.length === 0 && (
        <p className="text-lg">
          Nothing to practise yet. When your teacher gives you a program, it stands here.
        </p>
      )}
      {items.length > 0 && open.length === 0 && (
        <p className="text-lg">Nothing is due today. What you have passed comes back later.</p>
      )}
      {open.length > 0 && <Items items={open} />}
      {later.length > 0 && (
        <section aria-labelledby="later-title">
          <h2 id="later-title" className="label mb-1">
            later
          </h2>
          <ul className="border-t border-line">
            {later.map((item) => (
              <li
                key={`${item.assignmentId} ${item.item.id}`}
                className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-2"
              >
                <span className="font-serif text-lg">{item.item.name}</span>
                <span className="text-soft">{whyLater(item)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="text-sm text-soft">{CAUTION_LINE}</p>
    </main>
  );
}

function whyLater({ waitsFor, state }: StandItem): string {
  if (waitsFor.length > 0) return `after ${waitsFor.join(' and ')}`;
  return state.keep ? `passed; again on ${sayDay(state.keep.due)}` : '';
}

function Items({ items }: { items: readonly StandItem[] }) {
  return (
    <ol className="border-t border-line">
      {items.map((item, index) => (
        <li key={`${item.assignmentId} ${item.item.id}`} className="border-b border-line">
          <Link
            href={`/stand?item=${item.item.id}`}
            className="grid grid-cols-[2rem_minmax(0,1fr)_auto] gap-x-4 px-1 py-4 hover:bg-sheet"
          >
            <span className="font-serif text-2xl text-soft">{index + 1}</span>
            <span>
              <span className="block font-serif text-2xl leading-7">
                {item.item.name}
                {item.item.kind === 'own' && (
                  <span className="text-lg text-soft"> · make your own version</span>
                )}
              </span>
              <span className="block text-sm text-soft">
                <Words text={sentenceText(item.plays)} />
              </span>
              <span className="mt-1 block">
                {item.reason}
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
              <span className="text-soft">
                {rungText(item)}
                {sayDosage(dosageNow(item.state, item.item.course.dosage))}
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}

/** The rung, where it is more than a tempo. */
function rungText({ state }: StandItem): string {
  const { says } = rungAt(state.rungs, state.rung);
  return says === String(state.bpm) ? '' : `${says} · `;
}

function tempoOf({ plays, state }: StandItem) {
  return tempoFor(must(parseMeter(plays.meter)), state.bpm);
}

/** Seconds of one dosage at the rung where the ladder stands. */
function secondsOf(item: StandItem): number {
  const exercise = expand(item.plays);
  if (!exercise.ok) return 0;
  const tempo = tempoOf(item);
  const bars = dosageBars(dosageNow(item.state, item.item.course.dosage), exercise.value, tempo);
  return ticksToSeconds(bars * exercise.value.barTicks, tempo);
}
