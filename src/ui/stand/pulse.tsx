'use client';

import { useEffect, useState } from 'react';
import { positionAt, type Position, type Score } from '@/core/playing';
import { beats } from '@/core/time';
import type { Subscribe } from '../marks';

/** What changes while playing, drawn anew only when a beat comes. */
export function usePosition(subscribe: Subscribe, score: Score): Position {
  const [position, setPosition] = useState<Position | null>(null);
  useEffect(
    () =>
      subscribe((next) =>
        setPosition((now) =>
          now?.phase === next?.phase && now?.bar === next?.bar && now?.beat === next?.beat
            ? now
            : next,
        ),
      ),
    [subscribe],
  );
  return position ?? positionAt(score, -score.countInBars * score.exercise.barTicks);
}

/** The beat, for the corner of the eye: one block for each beat of the bar, the present one full. */
export function Pulse({ score, position }: { score: Score; position: Position }) {
  const all = beats(score.exercise.meter);
  const counting = position.phase === 'count-in';
  return (
    <div
      className="flex min-h-0 flex-1 gap-2"
      role="img"
      aria-label={`${counting ? 'Count-in, beat' : 'Beat'} ${position.beat + 1}`}
    >
      {all.map((beat, index) => {
        const now = index === position.beat;
        return (
          <div
            key={beat.at}
            className={`flex flex-1 items-center justify-center rounded-sm ${
              now
                ? counting
                  ? 'border-8 border-ink text-ink'
                  : index === 0
                    ? 'bg-warm text-warm-ink'
                    : 'bg-ink text-paper'
                : 'bg-faint text-soft'
            }`}
          >
            <span className="stand-number">{index + 1}</span>
          </div>
        );
      })}
    </div>
  );
}
