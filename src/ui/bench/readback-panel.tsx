'use client';

import { memo, useState } from 'react';
import { differingLimbs, spokenComposite, type Readback } from '@/core/analysis';
import { limbName, LIMBS, type Limb } from '@/core/kit';
import {
  retypeComposite,
  retypeCount,
  retypeLine,
  type ClosedRecipe,
  type Exercise,
} from '@/core/recipe';
import { CAUTION_LINE } from '@/core/safety';
import { sayCount } from '@/core/issue';
import { TICKS_PER_QUARTER, unitTicks, type Tempo, type Tick } from '@/core/time';
import { useSpeech } from '../base';
import { LimbSign } from '../marks';
import { Difficulty, Feet, Levels, Loads, Motions, Travels } from './readback-hands';
import { Neighbours } from './neighbours';
import { Hindrances } from './readback-hindrances';
import { Part, sayPlaces } from './readback-part';
import { Cues, FeltText, LeadsText, SameAs, SyncopationList } from './readback-more';
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
  const how = { exercise, tempo };
  const warned = readback.hindrances.length > 0;
  const whole = exercise.members.length > 0;
  return (
    <section aria-label="Readback" className="flex flex-col gap-4">
      {warned && (
        <Part label="Watch out">
          <Hindrances
            hindrances={readback.hindrances}
            exercise={exercise}
            onKeep={(next) => onChange({ ...recipe, kept: [...next] })}
          />
        </Part>
      )}
      {exercise.stale > 0 && (
        <p className="border-l-3 border-warm pl-2 text-sm">
          {sayCount(exercise.stale, 'note')} changed by hand {exercise.stale === 1 ? 'is' : 'are'}{' '}
          not there any more.
        </p>
      )}
      <SameAs id={id} exercise={exercise} />
      {readback.line && (
        <Part label="Line">
          <Retype
            label="Line, read back"
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
      <Part label="Count" how={{ part: 'count', ...how }}>
        <Counts
          recipe={recipe}
          exercise={exercise}
          readback={readback}
          onChange={whole ? null : onChange}
        />
      </Part>
      <Composite recipe={recipe} exercise={exercise} tempo={tempo} onChange={onChange} />
      <Part label="Together" how={{ part: 'together', ...how }}>
        <LockUpList exercise={exercise} readback={readback} />
      </Part>
      <Part label="Cycle" how={{ part: 'cycle', ...how }}>
        <CycleText exercise={exercise} readback={readback} />
        <FeltText readback={readback} />
      </Part>
      <Cues readback={readback} />
      <Motions readback={readback} how={how} />
      <Feet exercise={exercise} />
      <Part label="Load" how={{ part: 'load', ...how }}>
        <Loads readback={readback} />
        <Travels readback={readback} />
      </Part>
      <Part label="Against the beat" how={{ part: 'syncopation', ...how }}>
        <SyncopationList exercise={exercise} readback={readback} />
      </Part>
      <Levels exercise={exercise} />
      <Part label="Hard by" how={{ part: 'difficulty', ...how }}>
        <Difficulty readback={readback} />
      </Part>
      <Neighbours {...{ recipe, exercise, tempo, onChange }} />
      <p className="border-t border-faint pt-2 text-xs leading-4 text-soft">{CAUTION_LINE}</p>
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
                label={`Count of the ${limbName(limb)}`}
                text={bars.join(' | ')}
                read={(text) => retypeCount(recipe, exercise, limb, text)}
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

/** The limbs that matter, said as one rhythm; a touch on a limb takes it in or out. */
function Composite({
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
  const [chosen, setChosen] = useState<readonly Limb[] | null>(null);
  const playing = LIMBS.filter((limb) => exercise.strokes.some((one) => one.limb === limb));
  if (playing.length < 2) return null;
  const limbs = (chosen ?? differingLimbs(exercise) ?? []).filter((limb) => playing.includes(limb));
  const said = spokenComposite(exercise, limbs);
  return (
    <Part label="Said as one" how={{ part: 'composite', exercise, tempo }}>
      <div className="flex gap-1" role="group" aria-label="Limbs said as one">
        {playing.map((limb) => {
          const on = limbs.includes(limb);
          return (
            <button
              key={limb}
              type="button"
              aria-pressed={on}
              aria-label={limbName(limb)}
              className="rounded-sm border border-line px-1.5 py-0.5 opacity-60 aria-pressed:border-ink aria-pressed:bg-faint aria-pressed:opacity-100"
              onClick={() => setChosen(on ? limbs.filter((one) => one !== limb) : [...limbs, limb])}
            >
              <LimbSign limb={limb} />
            </button>
          );
        })}
      </div>
      <div className="mt-1" data-testid="composite">
        {said ? (
          <Retype
            label="Said as one"
            text={said}
            read={(text) => retypeComposite(recipe, exercise.meter, text)}
            onChoose={(one) => onChange(one.recipe)}
          >
            {shorten(said)}
          </Retype>
        ) : (
          <span className="text-soft">Choose a limb.</span>
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

function LockUpList({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { together, alone } = readback.lockUp;
  const { syllables } = useSpeech();
  return (
    <ul className="flex flex-col gap-0.5">
      {together.map(({ limbs, at }) => (
        <li key={limbs.join()} className="flex items-baseline gap-2">
          <span className="flex shrink-0 gap-1">
            {limbs.map((limb) => (
              <LimbSign key={limb} limb={limb} />
            ))}
          </span>
          <span>
            <b>{at.length}</b> <span className="text-soft">on</span>{' '}
            {sayPlaces(at, exercise, syllables)}
          </span>
        </li>
      ))}
      {together.length === 0 && <li>no two limbs: linear</li>}
      {alone.map(({ limb, at }) => (
        <li key={limb} className="flex items-baseline gap-2">
          <LimbSign limb={limb} />
          <span>
            <b>{at.length}</b> <span className="text-soft">alone on</span>{' '}
            {sayPlaces(at, exercise, syllables)}
          </span>
        </li>
      ))}
    </ul>
  );
}

function CycleText({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { bars, seam, smallest } = readback;
  const { density } = readback;
  return (
    <p>
      <b>{bars}</b> {bars === 1 ? 'bar' : 'bars'}
      {seam && (
        <>
          {', '}
          {Math.round(seam.gapMs)} ms across the seam
          {seam.doubled.length > 0 && (
            <>
              , <b>{seam.doubled.map(limbName).join(' and ')}</b> on both sides of it
            </>
          )}
          {seam.tails > 0 && (
            <>
              ; the first {seam.tails} {seam.tails === 1 ? 'stroke belongs' : 'strokes belong'} to
              the end and {seam.tails === 1 ? 'is' : 'are'} silent the first time
            </>
          )}
        </>
      )}
      .
      {smallest && smallest.times > 1 && (
        <>
          {' '}
          {sayPart(smallest.ticks, exercise)}, {sayCount(smallest.events, 'event')},{' '}
          {smallest.times} times.
        </>
      )}{' '}
      <span className="text-soft">
        {Math.round((100 * density.taken) / density.slots)} % of the {density.slots} slots sound.
      </span>
    </p>
  );
}

/** A length in beats of the meter's unit, or in parts of one. */
function sayPart(ticks: Tick, exercise: Exercise): string {
  const units = ticks / unitTicks(exercise.meter);
  if (Number.isInteger(units)) return sayCount(units, 'beat');
  return `${sayCount(Math.round((ticks * 12) / TICKS_PER_QUARTER), 'twelfth')} of a quarter`;
}
