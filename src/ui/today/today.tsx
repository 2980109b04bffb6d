import { Words } from '../base';
import Link from 'next/link';
import { must, sayCount } from '@/core/issue';
import { dosageBars, sayDosage } from '@/core/ladder';
import { expand, sentenceText } from '@/core/recipe';
import { CAUTION_LINE } from '@/core/safety';
import { type StandItem } from '@/core/studio';
import { parseMeter, tempoFor, ticksToSeconds } from '@/core/time';
import { TempoGlyph } from '../play';

/** What to practise: in order, how much, at which rung, and why. */
export function Today({ name, items }: { name: string; items: readonly StandItem[] }) {
  const minutes = Math.round(items.reduce((sum, item) => sum + secondsOf(item), 0) / 60);
  return (
    <main className="mx-auto flex max-w-4xl flex-col gap-6 px-6 py-8">
      <header className="flex flex-wrap items-end gap-4">
        <div>
          <h1 className="font-serif text-4xl">Today</h1>
          <p className="text-lg text-soft">
            {name}
            {items.length > 0 && ` · ${sayCount(items.length, 'exercise')}, about ${minutes} min`}
          </p>
        </div>
        {items.length > 0 && (
          <Link
            href="/stand"
            className="ml-auto rounded-sm bg-warm px-12 py-4 text-3xl font-semibold text-warm-ink"
          >
            Start
          </Link>
        )}
      </header>
      {items.length === 0 ? (
        <p className="text-lg">
          Nothing to practise yet. When your teacher gives you a program, it stands here.
        </p>
      ) : (
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
                    {item.item.exercise.name}
                  </span>
                  <span className="block text-sm text-soft">
                    <Words text={sentenceText(item.item.exercise.recipe)} />
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
                  <span className="text-soft">{sayDosage(item.item.course.dosage)}</span>
                </span>
              </Link>
            </li>
          ))}
        </ol>
      )}
      <p className="text-sm text-soft">{CAUTION_LINE}</p>
    </main>
  );
}

function tempoOf({ item, state }: StandItem) {
  return tempoFor(must(parseMeter(item.exercise.recipe.meter)), state.bpm);
}

/** Seconds of one dosage at the rung where the ladder stands. */
function secondsOf(item: StandItem): number {
  const exercise = expand(item.item.exercise.recipe);
  if (!exercise.ok) return 0;
  const tempo = tempoOf(item);
  const bars = dosageBars(item.item.course.dosage, exercise.value, tempo);
  return ticksToSeconds(bars * exercise.value.barTicks, tempo);
}
