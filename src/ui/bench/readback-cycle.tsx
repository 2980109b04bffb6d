'use client';

import { type Readback } from '@/core/analysis';
import { sayCount } from '@/core/issue';
import { limbName } from '@/core/kit';
import { type Exercise } from '@/core/recipe';
import { tempoBeatTicks, type Tick } from '@/core/time';
import { sayGrid, sayPartOfCycle } from '@/words';
import { useSpeech } from '../base';
import { LimbSign } from '../marks';
import { sayPlaces } from './readback-part';

/** Limbs that meet, and notes that stand alone. */
export function LockUpList({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
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

/** Length, seam and smallest repeating part. */
export function CycleText({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { say } = useSpeech();
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
      {exercise.cutFrom !== null && (
        <span className="text-soft">
          {' '}
          Cut: the whole would be {sayCount(exercise.cutFrom, 'bar')}.
        </span>
      )}
      {smallest && smallest.times > 1 && (
        <>
          {' '}
          {sayPart(smallest.ticks, exercise)}, {sayCount(smallest.events, 'event')},{' '}
          {smallest.times} times.
        </>
      )}{' '}
      <span className="text-soft">
        {density.taken} of {sayCount(density.slots, 'slot')} ({sayGrid(say, density.slotTicks)})
        sound: {Math.round((100 * density.taken) / density.slots)} %.
      </span>
      {exercise.members
        .filter((one) => one.bars % one.cycleBars > 0)
        .map((member) => (
          <span key={member.fromBar} className="block border-l-3 border-warm pl-2">
            {member.name || 'This exercise'}: {sayPartOfCycle(say, member)}.
          </span>
        ))}
    </p>
  );
}

/** A length in beats of the tempo, perhaps parts of one. */
function sayPart(ticks: Tick, exercise: Exercise): string {
  return sayCount(Math.round((ticks / tempoBeatTicks(exercise.meter)) * 100) / 100, 'beat');
}
