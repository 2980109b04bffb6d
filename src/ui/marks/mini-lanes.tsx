import { memo } from 'react';
import { strokeCode } from '@/core/analysis';
import type { VoiceId } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Exercise } from '@/core/recipe';
import { beats } from '@/core/time';
import { strokeKey } from './editing';
import { LimbDot } from './limb-dot';

const ROW = 11;
/** Width that bars share, in pixels. */
const WIDTH = 448;
const LEFT = 7;

/** Of a normal stroke. */
const RADIUS = 3.6;

/** An exercise at a glance: a row for each voice, the beats as lines, the limb marks small. Strokes
 * that are new have a warm ground, those that went a faint one.
 * @param rows voices from the top; the same for all that stand under each other
 * @param bars most bars that are drawn; they share the width */
export const MiniLanes = memo(function MiniLanes({
  exercise,
  rows,
  before,
  bars = 2,
  label,
}: {
  exercise: Exercise;
  rows: readonly VoiceId[];
  /** What stands before it; what changed is shown against it. */
  before?: Exercise | null;
  bars?: number;
  label: string;
}) {
  const shownBars = Math.min(bars, exercise.bars);
  const end = shownBars * exercise.barTicks;
  const barWidth = WIDTH / bars;
  const width = LEFT * 2 + barWidth * shownBars;
  const height = rows.length * ROW + 6;
  const x = (at: number) => LEFT + (at / exercise.barTicks) * barWidth;
  const y = (voice: VoiceId) => 3 + (rows.indexOf(voice) + 0.5) * ROW;
  const own = new Set(exercise.strokes.map(strokeKey));
  const known = before ? new Set(before.strokes.map(soundsAt)) : null;
  const gone = (before?.strokes ?? []).filter((one) => one.at < end && !own.has(strokeKey(one)));
  const strokes = exercise.strokes.filter((one) => one.at < end);
  return (
    <svg width={width} height={height} role="img" aria-label={label} className="block">
      {rows.map((voice) => (
        <line
          key={voice}
          x1={0}
          x2={width}
          y1={y(voice)}
          y2={y(voice)}
          className="stroke-faint"
          strokeWidth={1}
        />
      ))}
      {Array.from({ length: shownBars }, (_, bar) =>
        beats(exercise.meter).map((beat) => (
          <line
            key={`${bar} ${beat.at}`}
            x1={x(bar * exercise.barTicks + beat.at)}
            x2={x(bar * exercise.barTicks + beat.at)}
            y1={0}
            y2={height}
            className={beat.at === 0 ? 'stroke-soft' : 'stroke-line'}
            strokeWidth={1}
          />
        )),
      )}
      {gone.map((one) => (
        <circle
          key={strokeKey(one)}
          cx={x(one.at)}
          cy={y(one.voice)}
          r={RADIUS}
          className="fill-none stroke-line"
          strokeDasharray="1.5 1.5"
          data-gone
        />
      ))}
      {strokes.map((one) => {
        const fresh = known !== null && !known.has(soundsAt(one));
        return (
          <g key={strokeKey(one)}>
            {fresh && (
              <circle
                cx={x(one.at)}
                cy={y(one.voice)}
                r={5.6}
                className="fill-warm-wash stroke-warm"
                data-new
              />
            )}
            <LimbDot
              limb={one.limb}
              dynamic={one.dynamic}
              x={x(one.at)}
              y={y(one.voice)}
              r={RADIUS}
            />
          </g>
        );
      })}
    </svg>
  );
});

/** Tells strokes apart by where they are and how they are played, accents and ornaments too. */
function soundsAt(stroke: Stroke): string {
  return `${stroke.at} ${strokeCode(stroke)}`;
}

/** Height of the lanes with so many rows, in pixels. */
export function miniHeight(rows: number): number {
  return rows * ROW + 6;
}
