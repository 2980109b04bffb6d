import { staffOrder } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Exercise } from '@/core/recipe';
import { beats } from '@/core/time';
import type { Say } from '@/words';
import { LimbDot } from './limb-dot';
import { sayRow } from './rows';

/** In the drawing's units, about as many as a phone has pixels; where there is room, it is drawn larger. */
const WIDTH = 360;
const MOST_PIXELS = 460;
const LEFT = 104;
const RIGHT = 8;
const ROW = 22;
const HEAD = 18;

/** Of a normal stroke. */
const RADIUS = 6.6;

/** One bar of an exercise to be looked at: a row for each voice by its name, the beats counted over it, limb marks.
 * @param bar from 0 */
export function BarPicture({
  say,
  exercise,
  bar = 0,
  label,
}: {
  say: Say;
  exercise: Exercise;
  bar?: number;
  label: string;
}) {
  const { barTicks, meter } = exercise;
  const from = bar * barTicks;
  const strokes = exercise.strokes.filter(({ at }) => at >= from && at < from + barTicks);
  const rows = [...new Set(exercise.strokes.map(({ voice }) => voice))].sort(
    (a, b) => staffOrder(a) - staffOrder(b),
  );
  const height = HEAD + rows.length * ROW;
  // Half a mark lies before the first beat.
  const x = (at: number) => LEFT + 10 + (at / barTicks) * (WIDTH - LEFT - RIGHT);
  const y = (voice: Stroke['voice']) => HEAD + (rows.indexOf(voice) + 0.5) * ROW;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={label}
      className="block w-full"
      style={{ maxWidth: MOST_PIXELS }}
      data-picture
    >
      {beats(meter).map(({ at }, beat) => (
        <g key={at}>
          <line x1={x(at)} x2={x(at)} y1={HEAD} y2={height} className="stroke-line" />
          <text x={x(at)} y={14} textAnchor="middle" className="fill-soft text-[13px]">
            {beat + 1}
          </text>
        </g>
      ))}
      {rows.map((voice) => (
        <g key={voice}>
          <line x1={LEFT} x2={WIDTH} y1={y(voice)} y2={y(voice)} className="stroke-line" />
          <text x={LEFT - 8} y={y(voice) + 4.5} textAnchor="end" className="fill-ink text-[13px]">
            {sayRow(say, voice, exercise)}
          </text>
        </g>
      ))}
      {strokes.map(({ at, limb, voice, dynamic }) => (
        <LimbDot
          key={`${at} ${limb} ${voice}`}
          limb={limb}
          dynamic={dynamic}
          x={x(at - from)}
          y={y(voice)}
          r={RADIUS}
        />
      ))}
    </svg>
  );
}
