'use client';

import { useEffect, useRef, useState } from 'react';
import type { Exercise } from '@/core/recipe';
import type { System } from './columns';

export const STAFF_HEIGHT = 136;

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
  const place = useRef<HTMLDivElement>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let current = true;
    import('./engrave')
      .then(async ({ engrave }) => {
        const drawn = await engrave(exercise, system, first, STAFF_HEIGHT);
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
  }, [exercise, system, first]);
  return (
    <div
      className="staff"
      style={{ height: STAFF_HEIGHT, width: system.width }}
      role="img"
      aria-label={`Staff, bar ${system.bars.map((box) => box.bar + 1).join(', ')}`}
    >
      {failed && (
        <p className="text-sm text-soft">The staff could not be drawn. Reload the page to retry.</p>
      )}
      <div ref={place} />
    </div>
  );
}
