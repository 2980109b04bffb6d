'use client';

import { type Readback } from '@/core/analysis';
import { type Exercise } from '@/core/recipe';
import { tempoBeatTicks, type Tick } from '@/core/time';
import { sayGrid, sayLimbs, sayPartOfCycle } from '@/words';
import { useSpeech } from '../base';
import { LimbSign } from '../marks';
import { LOUD, sayPlaces } from './part';

/** Limbs that meet, and notes that stand alone. */
export function LockUpList({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { together, alone } = readback.lockUp;
  const { say } = useSpeech();
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
            {say.t.rich('screen.bench.countOn', {
              ...LOUD,
              count: at.length,
              places: sayPlaces(say, at, exercise),
            })}
          </span>
        </li>
      ))}
      {together.length === 0 && <li>{say.t('screen.bench.noTwoLimbsLinear')}</li>}
      {alone.map(({ limb, at }) => (
        <li key={limb} className="flex items-baseline gap-2">
          <LimbSign limb={limb} />
          <span>
            {say.t.rich('screen.bench.countAloneOn', {
              ...LOUD,
              count: at.length,
              places: sayPlaces(say, at, exercise),
            })}
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
      {say.t.rich('screen.bench.cycleIs', {
        b: (text) => <b>{text}</b>,
        bars,
        seam: seam ? 'yes' : 'no',
        gap: Math.round(seam?.gapMs ?? 0),
        doubled: seam?.doubled.length ?? 0,
        limbs: sayLimbs(say, seam?.doubled ?? []),
        tails: seam?.tails ?? 0,
      })}
      {exercise.cutFrom !== null && (
        <span className="text-soft">
          {' '}
          {say.t('screen.bench.cutWhole', { bars: exercise.cutFrom })}
        </span>
      )}
      {smallest && smallest.times > 1 && (
        <>
          {' '}
          {say.t('screen.bench.smallestPart', {
            beats: beatsOf(smallest.ticks, exercise),
            events: smallest.events,
            times: smallest.times,
          })}
        </>
      )}{' '}
      <span className="text-soft">
        {say.t('screen.bench.density', {
          taken: density.taken,
          slots: density.slots,
          grid: sayGrid(say, density.slotTicks),
          percent: Math.round((100 * density.taken) / density.slots),
        })}
      </span>
      {exercise.members
        .filter((one) => one.bars % one.cycleBars > 0)
        .map((member) => (
          <span key={member.fromBar} className="block border-l-3 border-warm pl-2">
            {say.t('screen.bench.memberCycle', {
              name: member.name || say.t('screen.bench.thisExercise'),
              part: sayPartOfCycle(say, member),
            })}
          </span>
        ))}
    </p>
  );
}

/** A length in beats of the tempo, to two places. */
function beatsOf(ticks: Tick, exercise: Exercise): number {
  return Math.round((ticks / tempoBeatTicks(exercise.meter)) * 100) / 100;
}
