'use client';

import { useEffect, useRef, useState } from 'react';
import type { Exercise } from '@/core/recipe';
import { sayStaff } from '@/words';
import { useSpeech } from '../base';
import type { System } from './columns';
import { useSame } from './use-same';

/** Px, at the size at the desk. */
export const STAFF_HEIGHT = 148;

/** Standard percussion notation of one system, under the columns of its lanes. The engraver loads
 * only when a staff is drawn. */
export function Staff({
  exercise,
  system,
  first,
}: {
  exercise: Exercise;
  system: System;
  first: boolean;
}) {
  const { say } = useSpeech();
  const place = useRef<HTMLDivElement>(null);
  const [failed, setFailed] = useState(false);
  const drawing = useSame({ exercise, system, first }, written(exercise, system, first));
  useEffect(() => {
    let current = true;
    import('./engrave')
      .then(async ({ engrave }) => {
        const { exercise: of, system: within, first: opens } = drawing;
        const drawn = await engrave(of, within, opens, STAFF_HEIGHT);
        if (!current) return;
        place.current?.replaceChildren(drawn);
        setFailed(false);
      })
      .catch(() => {
        if (current) setFailed(true);
      });
    return () => {
      current = false;
    };
  }, [drawing]);
  return (
    <div
      className="staff"
      style={{ height: STAFF_HEIGHT, width: system.width }}
      role="img"
      aria-label={sayStaff(say, exercise, [...new Set(system.bars.map((box) => box.bar))])}
    >
      {failed && (
        <p className="text-sm text-soft">{say.t('screen.common.theStaffCouldNotBeDrawn')}</p>
      )}
      <div ref={place} />
    </div>
  );
}

/** Everything that the staff of a system shows: it is engraved anew only when this changes. */
function written(exercise: Exercise, system: System, first: boolean): string {
  const { meter, barTicks, strokes } = exercise;
  const bars = new Set(system.bars.map((box) => box.bar));
  const notes = strokes
    .filter((stroke) => bars.has(Math.floor(stroke.at / barTicks)))
    .map(({ at, limb, voice, dynamic, ornament }) => [at, limb, voice, dynamic, ornament]);
  return JSON.stringify([meter, first, system.width, system.bars, notes]);
}
