'use client';

import { columnsOfBar, instantsOf, type Readback } from '@/core/analysis';
import { isHand, LIMBS, limitsOf, type Limb } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { beatPlaces } from '@/core/time';
import { sayLimbs } from '@/words';
import { useSpeech } from '../base';
import { LimbDot, LimbSign } from '../marks';

const MOST_BARS = 4;
const WIDTH = 240;
const SIGN = 3.2;
const LIMB_ROW = 11;

/** Where limbs meet, slot by slot: a row for each limb, a line through those that play together. What repeats is drawn
 * once. The places stand in words behind its name in the margin. */
export function MeetMap({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { say } = useSpeech();
  const limbs = LIMBS.filter((limb) => exercise.strokes.some((one) => one.limb === limb));
  const whole = (readback.smallest?.ticks ?? exercise.cycleTicks) / exercise.barTicks;
  const bars = Math.min(MOST_BARS, Math.max(1, Math.ceil(whole)), exercise.bars);
  return (
    <div
      role="img"
      aria-label={say.t('screen.bench.together')}
      className="flex flex-col gap-1"
      data-testid="meet-map"
    >
      {Array.from({ length: bars }, (_, bar) => (
        <MeetBar key={bar} {...{ exercise, limbs, bar }} />
      ))}
    </div>
  );
}

function MeetBar({
  exercise,
  limbs,
  bar,
}: {
  exercise: Exercise;
  limbs: readonly Limb[];
  bar: number;
}) {
  const { barTicks, meter } = exercise;
  const from = bar * barTicks;
  const columns = columnsOfBar(exercise, bar);
  const onBeats = beatPlaces(meter);
  const height = limbs.length * LIMB_ROW + 2;
  const x = (at: number) => 6 + (at / barTicks) * (WIDTH - 12);
  const y = (limb: Limb) => (limbs.indexOf(limb) + 0.5) * LIMB_ROW + 1;
  const instants = instantsOf(exercise).filter(({ at }) => at >= from && at < from + barTicks);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${height}`} className="w-full max-w-96" aria-hidden>
      {columns.map((at) => (
        <line
          key={at}
          x1={x(at)}
          x2={x(at)}
          y1={0}
          y2={height}
          className={onBeats.has(at) ? 'stroke-line' : 'stroke-faint'}
          strokeWidth={0.7}
        />
      ))}
      {instants.map(({ at, limbs: playing }) => {
        const [first, last] = [playing[0], playing.at(-1)];
        const meets = playing.length > 1;
        return (
          <g key={at} className={meets ? '' : 'opacity-45'}>
            {meets && first && last && (
              <line
                x1={x(at - from)}
                x2={x(at - from)}
                y1={y(first)}
                y2={y(last)}
                className="stroke-ink"
                strokeWidth={1.6}
              />
            )}
            {playing.map((limb) => (
              <LimbDot key={limb} limb={limb} x={x(at - from)} y={y(limb)} r={SIGN} />
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** Strokes a second of each limb against the most that its limit lets it play; the line is the limit. */
export function LoadBars({ exercise, readback }: { exercise: Exercise; readback: Readback }) {
  const { say } = useSpeech();
  const { handRun, footRun } = limitsOf(exercise.kit);
  return (
    <ul className="flex flex-col gap-0.5" data-testid="load-bars">
      {readback.loads.map(({ limb, perSecond }) => {
        const most = 1000 / (isHand(limb) ? handRun : footRun);
        return (
          <li key={limb} className="grid grid-cols-[3rem_1fr_5.5rem] items-center gap-x-2">
            <LimbSign limb={limb} />
            <span className="h-1.5 border-r border-ink" aria-hidden>
              <span
                className="block h-full bg-ink"
                style={{ width: `${Math.min(100, (100 * perSecond) / most)}%` }}
              />
            </span>
            <span className="text-right text-sm">
              {say.t('screen.bench.perSecond', { rate: Math.round(perSecond * 10) / 10 })}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** Runs of one limb that are easy now and will not be at a faster tempo. */
export function RunLines({ readback }: { readback: Readback }) {
  const { say } = useSpeech();
  return readback.runs.map(({ limb, strokes, gapMs, limitMs, fromBpm }) => (
    <p key={limb} className="mt-1 text-sm" data-testid={`run-${limb}`}>
      {say.t('screen.bench.runOf', {
        limb: sayLimbs(say, [limb]),
        strokes,
        gap: Math.round(gapMs),
        limit: limitMs,
        bpm: fromBpm,
      })}
    </p>
  ));
}
