'use client';

import { difficultyPoints, type MotionAt, type Readback } from '@/core/analysis';
import type { Exercise } from '@/core/recipe';
import { footingDifferences } from '@/core/transform';
import { loudestFirst } from '@/core/kit';
import type { Tempo } from '@/core/time';
import { sayDifficulty, sayDifficultyPart, sayVoice, type Say } from '@/words';
import { useSpeech } from '../base';
import { LimbSign } from '../marks';
import { LOUD, MOST_PLACES, Part, sayPlaces } from './part';

/** Motions of the hands within the smallest part: full, down, tap, up. */
export function Motions({
  readback,
  how,
}: {
  readback: Readback;
  how: { readonly exercise: Exercise; readonly tempo: Tempo };
}) {
  const { say } = useSpeech();
  const times = readback.smallest?.times ?? 1;
  if (readback.motions.length === 0) return null;
  return (
    <Part label={say.t('screen.bench.motions')} how={{ part: 'motions', ...how }}>
      <ul className="flex flex-col gap-0.5">
        {readback.motions.map(({ limb, motions }) => (
          <li key={limb} className="flex items-baseline gap-2">
            <LimbSign limb={limb} />
            <span data-testid={`motions-${limb}`}>
              {sayMotions(say, motions.slice(0, motions.length / times))}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function sayMotions(say: Say, motions: readonly MotionAt[]): string {
  const [first] = motions;
  const same = motions.every(({ motion }) => motion === first?.motion);
  return first && same
    ? say.t('screen.bench.all', { motion: say.t(`change.motion.${first.motion}`) })
    : motions.map(({ motion }) => say.t(`change.motion.${motion}`)).join(' ');
}

/** With a double pedal: where the two schools of footing differ, and which foot each takes. */
export function Feet({ exercise }: { exercise: Exercise }) {
  const { say } = useSpeech();
  const double = exercise.strokes.some(({ limb, voice }) => limb === 'LF' && voice === 'bass');
  if (!double) return null;
  const differences = footingDifferences(exercise.layers);
  const feet = (school: 'byGrid' | 'byGroups') =>
    differences
      .slice(0, MOST_PLACES)
      .map((one) => (one[school] === 'RF' ? 'r' : 'l'))
      .join(' ');
  const places = differences.map(({ at }) => at);
  return (
    <Part label={say.t('screen.bench.feet')}>
      {differences.length === 0 ? (
        <p>{say.t('screen.bench.byTheGridAndByGroups')}</p>
      ) : (
        <p data-testid="feet">
          {say.t.rich('screen.bench.schoolsDiffer', {
            ...LOUD,
            places: sayPlaces(say, places, exercise),
            grid: feet('byGrid'),
            groups: feet('byGroups'),
          })}
        </p>
      )}
    </Part>
  );
}

/** What makes it hard, part by part; never one number alone. */
export function Difficulty({ readback }: { readback: Readback }) {
  const { say } = useSpeech();
  const most = Math.max(...readback.difficulty.map((one) => one.points));
  return (
    <dl className="flex flex-col gap-1">
      {readback.difficulty.map(({ facts, count, weight, points }) => (
        <div
          key={facts.part}
          className="grid grid-cols-[1fr_3rem_2.5rem] items-center gap-x-2"
          title={say.t('screen.bench.weighed', {
            counted: sayDifficulty(say, facts),
            count,
            weight,
          })}
        >
          <dt>{sayDifficultyPart(say, facts)}</dt>
          <dd className="h-1.5" aria-hidden>
            <span className="block h-full bg-ink" style={{ width: `${(100 * points) / most}%` }} />
          </dd>
          <dd className="text-right">{points.toFixed(2)}</dd>
        </div>
      ))}
      <div className="grid grid-cols-[1fr_2.5rem] gap-x-2 border-t border-faint pt-1">
        <dt>{say.t('screen.bench.sum')}</dt>
        <dd className="text-right font-semibold" data-testid="difficulty-sum">
          {difficultyPoints(readback.difficulty).toFixed(2)}
        </dd>
      </div>
    </dl>
  );
}

/** How fast and how often each limb plays. */
export function Loads({ readback }: { readback: Readback }) {
  const { say } = useSpeech();
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="label">
          <th className="font-normal">
            <span className="sr-only">{say.t('screen.bench.limbColumn')}</span>
          </th>
          <th className="font-normal">{say.t('screen.bench.aSecond')}</th>
          <th className="font-normal">{say.t('screen.bench.nearest')}</th>
          <th className="font-normal">{say.t('screen.bench.inARow')}</th>
        </tr>
      </thead>
      <tbody>
        {readback.loads.map((load) => (
          <tr key={load.limb}>
            <th scope="row">
              <LimbSign limb={load.limb} />
            </th>
            <td>{load.perSecond.toFixed(1)}</td>
            <td>{say.t('screen.bench.ms', { ms: Math.round(load.shortestGapMs) })}</td>
            <td>{load.endless ? say.t('screen.bench.allInARow') : load.longestRun}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Where a hand has to get from one surface to another, and how long it has. */
export function Travels({ readback }: { readback: Readback }) {
  const { say } = useSpeech();
  return readback.travel.map(({ limb, moves, shortest }) => (
    <p key={limb} className="mt-1 flex items-baseline gap-2 text-sm" data-testid={`travel-${limb}`}>
      <LimbSign limb={limb} />
      <span>
        {say.t('screen.bench.travels', {
          moves,
          from: sayVoice(say, shortest.from),
          to: sayVoice(say, shortest.to),
          ms: Math.round(shortest.ms),
        })}
      </span>
    </p>
  ));
}

/** How loud the voices are in the chosen style, from the loudest down. */
export function Levels({ exercise }: { exercise: Exercise }) {
  const { say } = useSpeech();
  if (!exercise.levels) return null;
  const voices = [...new Set(exercise.strokes.map((stroke) => stroke.voice))];
  return (
    <Part label={say.t('screen.bench.levels')}>
      <p data-testid="levels">
        {loudestFirst(exercise.levels, voices)
          .map((group) => group.voices.map((id) => sayVoice(say, id)).join(', '))
          .reduce((upper, lower) => say.t('screen.bench.louderThan', { upper, lower }))}
      </p>
    </Part>
  );
}
