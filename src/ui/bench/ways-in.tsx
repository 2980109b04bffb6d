'use client';

import { useMemo, useSyncExternalStore } from 'react';
import { must } from '@/core/issue';
import { staffOrder } from '@/core/kit';
import { expand, WAY_IN_IDS, WAYS_IN, type ClosedRecipe } from '@/core/recipe';
import { sayWayIn } from '@/words';
import { useSpeech, Link } from '../base';
import { useShelf } from '../library';
import { MiniLanes } from '../marks';
import { OPENED_KEY, readOpened } from './opened';

/** Most exercises that are offered to be opened again. */
const MOST_OPENED = 4;

/** What an empty Bench offers: what was opened last, and starts that show what can be said. */
export function WaysIn({ onBegin }: { onBegin: (recipe: ClosedRecipe) => void }) {
  const { say } = useSpeech();
  const { exercises } = useShelf();
  const kept = useSyncExternalStore(
    () => () => undefined,
    () => localStorage.getItem(OPENED_KEY),
    () => null,
  );
  const opened = readOpened(kept)
    .flatMap((id) => exercises.find((one) => one.id === id) ?? [])
    .slice(0, MOST_OPENED);
  const ways = useMemo(
    () =>
      WAY_IN_IDS.map((id) => {
        const recipe = WAYS_IN[id]();
        const exercise = must(expand(recipe));
        const rows = [...new Set(exercise.strokes.map((one) => one.voice))];
        return { id, recipe, exercise, rows: rows.sort((a, b) => staffOrder(a) - staffOrder(b)) };
      }),
    [],
  );
  return (
    <div className="mt-8 flex flex-col gap-4 pl-27">
      {opened.length > 0 && (
        <p>
          <span className="label mr-3">{say.t('screen.bench.openedLast')}</span>
          {opened.map(({ id, name }) => (
            <Link key={id} className="phrase mr-4" href={`/bench?x=${id}`}>
              {name}
            </Link>
          ))}
        </p>
      )}
      <section aria-label={say.t('screen.bench.beginWith')}>
        <h2 className="label mb-1">{say.t('screen.bench.beginWith')}</h2>
        <ul className="grid grid-cols-2 gap-2">
          {ways.map(({ id, recipe, exercise, rows }) => (
            <li key={id}>
              <button
                type="button"
                className="flex size-full flex-col gap-1 rounded-sm border border-line px-3 py-2 text-left hover:border-soft hover:bg-sheet"
                onClick={() => onBegin(recipe)}
              >
                <span className="font-serif text-lg">{sayWayIn(say, id)}</span>
                <span className="overflow-hidden" aria-hidden>
                  <MiniLanes exercise={exercise} rows={rows} before={null} bars={1} label="" />
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
