'use client';

import { useState } from 'react';
import { spokenLimbs, spokenComposite } from '@/core/analysis';
import { LIMBS, type Limb } from '@/core/kit';
import type { ClosedRecipe, Exercise } from '@/core/recipe';
import { retypeComposite } from '@/core/retype';
import type { Tempo } from '@/core/time';
import { sayLimb } from '@/words';
import { useSpeech } from '../base';
import { LimbSign } from '../marks';
import { Part } from './part';
import { Retype } from './retype';

/** The limbs that matter, said as one rhythm; a touch on a limb takes it in or out. */
export function Composite({
  recipe,
  exercise,
  tempo,
  onChange,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise;
  tempo: Tempo;
  /** Null where it stands for several exercises and cannot be typed anew. */
  onChange: ((recipe: ClosedRecipe) => void) | null;
}) {
  const { say } = useSpeech();
  const [chosen, setChosen] = useState<readonly Limb[] | null>(null);
  const playing = LIMBS.filter((limb) => exercise.strokes.some((one) => one.limb === limb));
  if (playing.length < 2) return null;
  const limbs = (chosen ?? spokenLimbs(exercise) ?? []).filter((limb) => playing.includes(limb));
  const said = spokenComposite(exercise, limbs);
  return (
    <Part
      label={say.t('screen.bench.saidAsOne')}
      how={{ part: 'composite', exercise, tempo, limbs }}
    >
      <div className="flex gap-1" role="group" aria-label={say.t('screen.bench.limbsSaidAsOne')}>
        {playing.map((limb) => {
          const on = limbs.includes(limb);
          return (
            <button
              key={limb}
              type="button"
              aria-pressed={on}
              aria-label={sayLimb(say, limb)}
              className="rounded-sm border border-line px-1.5 py-0.5 aria-pressed:border-ink aria-pressed:bg-faint"
              onClick={() => setChosen(on ? limbs.filter((one) => one !== limb) : [...limbs, limb])}
            >
              <LimbSign limb={limb} />
            </button>
          );
        })}
      </div>
      <div className="mt-1" data-testid="composite">
        {said && onChange ? (
          <Retype
            label={say.t('screen.bench.saidAsOne')}
            exercise={exercise}
            text={said}
            read={(text) => retypeComposite(recipe, exercise, limbs, text)}
            onChoose={(one) => onChange(one.recipe)}
          >
            {shorten(said)}
          </Retype>
        ) : (
          shorten(said) || <span className="text-soft">{say.t('screen.bench.chooseALimb')}</span>
        )}
      </div>
    </Part>
  );
}

/** Most letters of a composite that are written out. */
const MOST_LETTERS = 48;

function shorten(said: string): string {
  const letters = said.split(' ');
  return letters.length > MOST_LETTERS ? `${letters.slice(0, MOST_LETTERS).join(' ')} …` : said;
}
