'use client';

import { useDeferredValue, useMemo, useRef } from 'react';
import type { Limb } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { systemsOf } from './columns';
import type { Editing } from './editing';
import { Lanes, type Subscribe } from './lanes';
import type { RowKind } from './rows';
import { Staff } from './staff';
import { useSize } from './use-size';

const GUTTER = 128;

const START = { width: 860, height: 0 };

/** An exercise in systems: lanes, and the staff under the same columns. The lanes are drawn at once;
 * the staff follows when there is time. */
export function ScoreSheet({
  exercise,
  rows = 'voices',
  staff = true,
  subscribe,
  muted,
  editing,
}: {
  exercise: Exercise;
  rows?: RowKind;
  staff?: boolean;
  subscribe?: Subscribe;
  muted?: ReadonlySet<Limb>;
  editing?: Editing;
}) {
  const place = useRef<HTMLDivElement>(null);
  const { width } = useSize(place, START);
  const slot = editing?.slot;
  const systems = useMemo(
    () => systemsOf(exercise, { width, gutter: GUTTER, slot, engraved: staff }),
    [exercise, width, slot, staff],
  );
  const late = useDeferredValue(useMemo(() => ({ exercise, systems }), [exercise, systems]));
  return (
    <div ref={place} className="flex flex-col gap-3 overflow-x-clip">
      {systems.map((system, index) => (
        <div key={index}>
          <Lanes {...{ exercise, system, rows, subscribe, muted, editing }} />
          {staff && late.systems[index] && (
            <Staff exercise={late.exercise} system={late.systems[index]} first={index === 0} />
          )}
        </div>
      ))}
    </div>
  );
}
