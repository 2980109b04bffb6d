'use client';

import { memo } from 'react';
import type { Readback } from '@/core/analysis';
import type { ClosedRecipe, Exercise } from '@/core/recipe';
import { retypeCount, retypeLine } from '@/core/retype';
import type { Tempo } from '@/core/time';
import { sayLimb } from '@/words';
import { CautionLine, useSpeech } from '../base';
import { LimbSign } from '../marks';
import { Composite } from './composite';
import { CycleText, LockUpList } from './cycle';
import { Difficulty, Feet, Levels, Loads, Motions, Travels } from './hands';
import { Neighbours } from './neighbours';
import { Hindrances } from './hindrances';
import { LoadBars, MeetMap, RunLines } from './maps';
import { Part } from './part';
import { Cues, FeltText, LeadsText, SameAs, SyncopationList } from './more';
import { Retype } from './retype';

/** What the exercise says back: warnings first, then counts, composite, lock-up, seam and load.
 * Counts, composite and line can be typed anew where they stand. */
export const ReadbackPanel = memo(function ReadbackPanel({
  id,
  recipe,
  exercise,
  readback,
  tempo,
  onChange,
}: {
  /** Of the exercise as it is saved, if it is. */
  id: string | null;
  recipe: ClosedRecipe;
  exercise: Exercise;
  readback: Readback;
  tempo: Tempo;
  onChange: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  const how = { exercise, tempo };
  const warned = readback.hindrances.length > 0;
  const whole = exercise.members.length > 0;
  return (
    <section aria-label={say.t('screen.bench.readback')} className="flex flex-col gap-4">
      {warned && (
        <Part label={say.t('screen.bench.watchOut')}>
          <Hindrances
            hindrances={readback.hindrances}
            recipe={recipe}
            exercise={exercise}
            onChange={onChange}
          />
        </Part>
      )}
      {exercise.stale > 0 && (
        <p className="border-l-3 border-warm pl-2 text-sm">
          {say.t('screen.bench.noLongerMatch', { notes: exercise.stale })}
        </p>
      )}
      <SameAs id={id} exercise={exercise} />
      {readback.line && (
        <Part label={say.t('screen.common.line')}>
          <Retype
            label={say.t('screen.bench.lineReadBack')}
            exercise={exercise}
            text={readback.line}
            read={(text) => retypeLine(recipe, exercise, text)}
            onChoose={(one) => onChange(one.recipe)}
            className="phrase text-left text-lg leading-6 font-semibold tracking-wide"
          >
            <span data-testid="line-reading">{readback.line}</span>
          </Retype>
          <LeadsText readback={readback} />
        </Part>
      )}
      <Part label={say.t('screen.common.count')} how={{ part: 'count', ...how }}>
        <Counts
          recipe={recipe}
          exercise={exercise}
          readback={readback}
          onChange={whole ? null : onChange}
        />
      </Part>
      <Composite
        recipe={recipe}
        exercise={exercise}
        tempo={tempo}
        onChange={whole ? null : onChange}
      />
      <Part
        label={say.t('screen.bench.together')}
        how={{ part: 'together', ...how }}
        list={<LockUpList exercise={exercise} readback={readback} />}
      >
        <MeetMap exercise={exercise} readback={readback} />
      </Part>
      <Part label={say.t('screen.bench.cycle')} how={{ part: 'cycle', ...how }}>
        <CycleText exercise={exercise} readback={readback} />
        <FeltText readback={readback} />
      </Part>
      <Cues readback={readback} meter={recipe.meter} />
      <Motions readback={readback} how={how} />
      <Feet exercise={exercise} />
      <Part
        label={say.t('screen.bench.load')}
        how={{ part: 'load', ...how }}
        list={<Loads readback={readback} />}
      >
        <LoadBars exercise={exercise} readback={readback} />
        <RunLines readback={readback} />
        <Travels readback={readback} />
      </Part>
      <Part label={say.t('screen.bench.syncopation')} how={{ part: 'syncopation', ...how }}>
        <SyncopationList exercise={exercise} readback={readback} />
      </Part>
      <Levels exercise={exercise} />
      <Part label={say.t('screen.bench.difficulty')} how={{ part: 'difficulty', ...how }}>
        <Difficulty readback={readback} />
      </Part>
      <Neighbours {...{ recipe, exercise, tempo, onChange }} />
      <p className="border-t border-faint pt-2 text-xs leading-4 text-soft">
        <CautionLine />
      </p>
    </section>
  );
});

/** Most bars of a count that are written out. */
const MOST_BARS = 4;

function Counts({
  recipe,
  exercise,
  readback,
  onChange,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise;
  readback: Readback;
  /** Null where a count stands for several exercises and cannot be typed anew. */
  onChange: ((recipe: ClosedRecipe) => void) | null;
}) {
  const { say, syllables } = useSpeech();
  return (
    <ul className="flex flex-col gap-0.5">
      {readback.counts.map(({ limb, bars }) => {
        const said = (
          <span className="min-w-0" data-testid={`count-${limb}`}>
            {bars.slice(0, MOST_BARS).map((bar, index) => (
              <span key={index}>
                {index > 0 && <span className="px-1.5 text-soft">|</span>}
                {bar}
              </span>
            ))}
            {bars.length > MOST_BARS && <span className="px-1.5 text-soft">| …</span>}
          </span>
        );
        return (
          <li key={limb} className="flex items-baseline gap-2">
            <LimbSign limb={limb} />
            {onChange ? (
              <Retype
                label={say.t('screen.bench.countOfThe', { limb: sayLimb(say, limb) })}
                exercise={exercise}
                text={bars.join(' | ')}
                read={(text) => retypeCount(recipe, exercise, limb, text, syllables)}
                onChoose={(one) => onChange(one.recipe)}
                className="phrase min-w-0 text-left"
              >
                {said}
              </Retype>
            ) : (
              said
            )}
          </li>
        );
      })}
    </ul>
  );
}
