'use client';

import { Play, Square } from 'lucide-react';
import { useMemo, useState } from 'react';
import { neighboursOf, type Neighbour } from '@/core/path';
import { expand, type ClosedRecipe, type Exercise } from '@/core/recipe';
import type { Tempo } from '@/core/time';
import { sayNeighbour } from '@/words';
import { Pop, PopRoot, PopTrigger, useSpeech } from '../base';
import { useHear } from '../play';
import { Part } from './part';

/** Most neighbours of a side that are listed. */
const MOST = 40;

/** Differences smaller than this are none. */
const SAME = 0.05;

/** The exercises that are one note away, easier and harder; a touch takes one. */
export function Neighbours({
  recipe,
  exercise,
  tempo,
  onChange,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise;
  tempo: Tempo;
  onChange: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  if (exercise.members.length > 0) return null;
  return (
    <Part label={say.t('screen.bench.oneNote')}>
      <PopRoot open={open} onOpenChange={setOpen}>
        <PopTrigger className="phrase">{say.t('screen.bench.easierOrHarder')}</PopTrigger>
        <Pop side="left" align="end" sideOffset={8} className="w-[34rem] p-3">
          <Sides
            {...{ recipe, exercise, tempo }}
            onTake={(next) => {
              setOpen(false);
              onChange(next);
            }}
          />
        </Pop>
      </PopRoot>
    </Part>
  );
}

function Sides({
  recipe,
  exercise,
  tempo,
  onTake,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise;
  tempo: Tempo;
  onTake: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  const all = useMemo(() => neighboursOf(recipe, exercise, tempo), [recipe, exercise, tempo]);
  const { heard, hear } = useHear<ClosedRecipe>(tempo.bpm);
  function onHear(next: ClosedRecipe) {
    const made = expand(next);
    if (made.ok) hear(next, made.value);
  }
  if (all.length === 0) return <p>{say.t('screen.bench.tooManyNotesToGoThrough')}</p>;
  const easier = all.filter((one) => one.harder < -SAME).reverse();
  const harder = all.filter((one) => one.harder >= -SAME);
  return (
    <div className="grid grid-cols-2 gap-3">
      <List
        title={say.t('screen.bench.easier')}
        all={easier}
        {...{ exercise, heard, onHear, onTake }}
      />
      <List
        title={say.t('screen.bench.asHardOrHarder')}
        all={harder}
        {...{ exercise, heard, onHear, onTake }}
      />
    </div>
  );
}

function List({
  title,
  all,
  exercise,
  heard,
  onHear,
  onTake,
}: {
  title: string;
  all: readonly Neighbour[];
  exercise: Exercise;
  /** What plays just now. */
  heard: ClosedRecipe | null;
  onHear: (recipe: ClosedRecipe) => void;
  onTake: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  const shown = all.slice(0, MOST).map((one) => ({ one, says: sayNeighbour(say, one, exercise) }));
  return (
    <section aria-label={title} className="min-w-0">
      <h3 className="label mb-1">
        {title}: {all.length}
      </h3>
      <ul className="max-h-80 overflow-y-auto">
        {shown.map(({ one, says }) => (
          <li key={says} className="flex items-center">
            <button
              type="button"
              aria-label={say.t('screen.bench.hear', { says })}
              aria-pressed={heard === one.recipe}
              className="inline-flex size-6 shrink-0 items-center justify-center rounded-sm text-soft hover:bg-faint hover:text-ink aria-pressed:text-warm"
              onClick={() => onHear(one.recipe)}
            >
              {heard === one.recipe ? (
                <Square size={12} aria-hidden />
              ) : (
                <Play size={12} aria-hidden />
              )}
            </button>
            <button
              type="button"
              className="min-w-0 flex-1 rounded-sm px-1 py-0.5 text-left text-sm hover:bg-warm-wash focus-visible:bg-warm-wash"
              onClick={() => onTake(one.recipe)}
            >
              {says}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
