'use client';

import { clsx } from 'clsx';
import { ArrowLeftToLine, ArrowRightToLine, TriangleAlert } from 'lucide-react';
import { memo } from 'react';
import type { VoiceId } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { useDragged, useSpeech } from '../base';
import { MiniLanes } from '../marks';
import type { ChooseWay } from './selection';

export interface RowShown {
  readonly index: number;
  readonly number: number;
  readonly exercise: Exercise | null;
  readonly before: Exercise | null;
  /** What changes from the one before, or what the first is. */
  readonly says: readonly string[];
  readonly points: number;
  readonly warnings: number;
  readonly bars: number;
  readonly pinned: 'first' | 'last' | null;
  /** Beyond the teacher’s stop. */
  readonly beyond: boolean;
  readonly stops: boolean;
  readonly practised: boolean;
  /** The row that it sounds like; null where there is none. */
  readonly like?: number | null;
  /** Whether that is played by the same limbs, from another place on. */
  readonly likeLater?: boolean;
}

interface RowProps {
  row: RowShown;
  rows: readonly VoiceId[];
  hardest: number;
  /** Bars that the lanes have room for. */
  lanesBars: number;
  chosen: boolean;
  /** Whether keys start from it, where several are chosen. */
  active: boolean;
  compared: boolean;
  /** Of the row in its list, in pixels. */
  top: number;
  height: number;
  onChoose: (index: number, way: ChooseWay) => void;
  onOpen: (index: number) => void;
}

/** Whether a row shows the same: then it is not drawn again. */
export function isSame(before: RowProps, now: RowProps): boolean {
  const { row: was, ...rest } = before;
  const { row, ...others } = now;
  const alike = <T extends object>(one: T, other: T) =>
    (Object.keys(one) as (keyof T)[]).every((key) => Object.is(one[key], other[key]));
  return (
    alike(rest, others) &&
    alike({ ...was, says: was.says.join() }, { ...row, says: row.says.join() })
  );
}

/** One variation on the path: its number, lanes at a glance, what changes, how hard. */
export const PathRow = memo(Row, isSame);

function Row({
  row,
  rows,
  hardest,
  lanesBars,
  chosen,
  active,
  compared,
  top,
  height,
  onChoose,
  onOpen,
}: RowProps) {
  const { say } = useSpeech();
  const { index, number, exercise, before, says, points, warnings, bars, pinned } = row;
  const { ref, grip, dragged, over, style } = useDragged(String(index));
  return (
    <div
      ref={ref}
      id={`member-${index}`}
      role="option"
      aria-selected={chosen}
      aria-label={`${number}: ${says.join(', ')}`}
      data-member={index}
      {...grip}
      style={{ ...style, top, height }}
      onClick={({ shiftKey, ctrlKey, metaKey }) =>
        onChoose(index, shiftKey ? 'through' : ctrlKey || metaKey ? 'besides' : 'alone')
      }
      onDoubleClick={() => onOpen(index)}
      className={clsx(
        'absolute left-0 flex w-full touch-manipulation items-center gap-3 border-b border-faint px-3 select-none',
        active && 'outline-2 -outline-offset-2 outline-warm',
        chosen ? (active ? 'bg-sheet' : 'bg-warm-wash') : 'hover:bg-sheet',
        row.beyond && 'opacity-40',
        over && 'bg-warm-wash',
        dragged && 'bg-sheet opacity-80',
        row.stops && 'border-b-2 border-b-warm',
      )}
    >
      <span className="w-8 shrink-0 text-right font-serif text-lg text-soft">{number}</span>
      <span className="w-4 shrink-0 text-soft">
        {pinned === 'first' && (
          <ArrowLeftToLine size={14} aria-label={say.t('screen.variations.pinnedFirst')} />
        )}
        {pinned === 'last' && (
          <ArrowRightToLine size={14} aria-label={say.t('screen.variations.pinnedLast')} />
        )}
      </span>
      <span className="shrink-0 overflow-hidden" style={{ width: 462 }}>
        {exercise && (
          <MiniLanes
            exercise={exercise}
            rows={rows}
            before={before}
            bars={lanesBars}
            label={say.t('screen.variations.variationNumber', { number })}
          />
        )}
      </span>
      <span className="min-w-0 flex-1 text-sm leading-4.5">
        <span className="line-clamp-2">{says.join(' · ')}</span>
        <span className="flex items-center gap-2 text-xs text-soft">
          <span
            className="inline-block h-1.5 bg-ink"
            style={{ width: `${Math.max(2, (40 * points) / Math.max(1, hardest))}px` }}
          />
          {points.toFixed(1)}
          {bars > 2 && <span>{say.t('screen.common.barCount', { bars })}</span>}
          {row.like != null && (
            <span>
              {say.t('screen.variations.like', {
                number: row.like,
                way: row.likeLater ? 'later' : 'limbs',
              })}
            </span>
          )}
          {row.practised && <span>{say.t('screen.variations.practised')}</span>}
          {compared && (
            <span className="font-semibold text-warm">{say.t('screen.variations.compared')}</span>
          )}
          {warnings > 0 && (
            <span className="inline-flex items-center gap-0.5 text-warm">
              <TriangleAlert size={12} aria-hidden />
              {warnings}
              <span className="sr-only"> {say.t('screen.variations.toWatchOutFor')}</span>
            </span>
          )}
        </span>
      </span>
    </div>
  );
}
