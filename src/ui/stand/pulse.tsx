'use client';

import { useEffect, useState } from 'react';
import { positionAt, type Position, type Score } from '@/core/playing';
import { beats } from '@/core/time';
import { useSpeech } from '../base';
import type { Playback } from '../play';

interface Where {
  readonly position: Position;
  /** Which of several scores plays. */
  readonly part: number;
}

/** What changes while playing, drawn anew only when a beat comes. */
export function usePosition(subscribe: Playback['subscribe'], scores: readonly Score[]): Where {
  const [where, setWhere] = useState<Where | null>(null);
  useEffect(
    () =>
      subscribe((position, part) =>
        setWhere((now) => {
          const same =
            now?.part === part &&
            now.position.phase === position?.phase &&
            now.position.bar === position.bar &&
            now.position.beat === position.beat;
          return same ? now : position && { position, part };
        }),
      ),
    [subscribe],
  );
  const [first] = scores;
  if (where || !first) return where ?? { position: NOWHERE, part: 0 };
  return { position: positionAt(first, -first.countInBars * first.exercise.barTicks), part: 0 };
}

const NOWHERE: Position = {
  phase: 'over',
  bar: 0,
  beat: 0,
  inCycle: 0,
  barsLeft: 0,
  call: null,
};

/** The beat, for the corner of the eye: one block for each beat of the bar, the present one full. */
export function Pulse({ score, position }: { score: Score; position: Position }) {
  const { say } = useSpeech();
  const all = beats(score.exercise.meter);
  const counting = position.phase === 'count-in';
  return (
    <div
      className="flex min-h-0 flex-1 gap-2"
      role="img"
      aria-label={`${counting ? say.t('screen.stand.countInBeat') : say.t('screen.stand.beat')} ${position.beat + 1}`}
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
