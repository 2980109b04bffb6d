'use client';

import { useState } from 'react';
import {
  differingLimbs,
  hindranceText,
  spokenComposite,
  type Hindrance,
  type Readback,
} from '@/core/analysis';
import { limbName, LIMBS, type Limb } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { CAUTION_LINE } from '@/core/safety';
import { sayCount } from '@/core/studio';
import { TICKS_PER_QUARTER, unitTicks, type Tick } from '@/core/time';
import { LimbSign } from '../marks';
import { Difficulty, Feet, Loads, Motions } from './readback-hands';
import { MOST_PLACES, Part, sayPlaces } from './readback-part';

/** What the exercise says back: warnings first, then counts, composite, lock-up, seam and load. */
export function ReadbackPanel({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  return (
    <section aria-label="Readback" className="flex flex-col gap-4">
      {readback.hindrances.length > 0 && (
        <Part label="Watch out">
          <Hindrances hindrances={readback.hindrances} exercise={exercise} />
        </Part>
      )}
      {readback.line && (
        <Part label="Line">
          <p className="text-lg leading-6 font-semibold tracking-wide" data-testid="line-reading">
            {readback.line}
          </p>
        </Part>
      )}
      <Part label="Count">
        <ul className="flex flex-col gap-0.5">
          {readback.counts.map(({ limb, bars }) => (
            <li key={limb} className="flex items-baseline gap-2">
              <LimbSign limb={limb} />
              <span className="min-w-0" data-testid={`count-${limb}`}>
                {bars.map((bar, index) => (
                  <span key={index}>
                    {index > 0 && <span className="px-1.5 text-soft">|</span>}
                    {bar}
                  </span>
                ))}
              </span>
            </li>
          ))}
        </ul>
      </Part>
      <Composite exercise={exercise} />
      <Part label="Together">
        <LockUpList exercise={exercise} readback={readback} />
      </Part>
      <Part label="Cycle">
        <CycleText exercise={exercise} readback={readback} />
      </Part>
      <Motions readback={readback} />
      <Feet exercise={exercise} />
      <Part label="Load">
        <Loads readback={readback} />
      </Part>
      <Part label="Hard by">
        <Difficulty readback={readback} />
      </Part>
      <p className="border-t border-faint pt-2 text-xs leading-4 text-soft">{CAUTION_LINE}</p>
    </section>
  );
}

function Hindrances({
  hindrances,
  exercise,
}: {
  hindrances: readonly Hindrance[];
  exercise: Exercise;
}) {
  const groups = new Map<string, { places: string[]; reason: string; mend: string }>();
  for (const hindrance of hindrances) {
    const { where, reason, mend } = hindranceText(hindrance, exercise);
    const group = groups.get(reason) ?? { places: [], reason, mend };
    group.places.push(where);
    groups.set(reason, group);
  }
  return (
    <ul className="flex flex-col gap-2">
      {[...groups].map(([key, { places, reason, mend }]) => (
        <li key={key} className="border-l-3 border-warm pl-2 text-sm leading-5">
          <b>{sayWheres(places)}.</b> {reason} <span className="text-soft">{mend}</span>
        </li>
      ))}
    </ul>
  );
}

function sayWheres(places: readonly string[]): string {
  const said = places.slice(0, MOST_PLACES).join('; ');
  return places.length > MOST_PLACES ? `${said} and ${places.length - MOST_PLACES} more` : said;
}

/** The limbs that matter, said as one rhythm; a touch on a limb takes it in or out. */
function Composite({ exercise }: { exercise: Exercise }) {
  const [chosen, setChosen] = useState<readonly Limb[] | null>(null);
  const playing = LIMBS.filter((limb) => exercise.strokes.some((one) => one.limb === limb));
  if (playing.length < 2) return null;
  const limbs = (chosen ?? differingLimbs(exercise) ?? []).filter((limb) => playing.includes(limb));
  return (
    <Part label="Said as one">
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
      <p className="mt-1" data-testid="composite">
        {spokenComposite(exercise, limbs) || <span className="text-soft">Choose a limb.</span>}
      </p>
    </Part>
  );
}

function LockUpList({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { together, alone } = readback.lockUp;
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
            <b>{at.length}</b> <span className="text-soft">on</span> {sayPlaces(at, exercise)}
          </span>
        </li>
      ))}
      {together.length === 0 && <li>no two limbs: linear</li>}
      {alone.map(({ limb, at }) => (
        <li key={limb} className="flex items-baseline gap-2">
          <LimbSign limb={limb} />
          <span>
            <b>{at.length}</b> <span className="text-soft">alone on</span> {sayPlaces(at, exercise)}
          </span>
        </li>
      ))}
    </ul>
  );
}

function CycleText({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { bars, seam, smallest } = readback;
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
      )}
    </p>
  );
}

/** A length in beats of the meter's unit, or in parts of one. */
function sayPart(ticks: Tick, exercise: Exercise): string {
  const units = ticks / unitTicks(exercise.meter);
  if (Number.isInteger(units)) return sayCount(units, 'beat');
  return `${sayCount(Math.round((ticks * 12) / TICKS_PER_QUARTER), 'twelfth')} of a quarter`;
}
