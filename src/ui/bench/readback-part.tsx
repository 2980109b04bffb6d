import { useId, type ReactNode } from 'react';
import type { Exercise } from '@/core/recipe';
import { countName, type Tick } from '@/core/time';

/** A part of the readback with its word in the margin. */
export function Part({ label, children }: { label: string; children: ReactNode }) {
  const id = useId();
  return (
    <div role="group" aria-labelledby={id} className="flex gap-3">
      <h2 id={id} className="label w-16 shrink-0 pt-0.5">
        {label}
      </h2>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  );
}

/** Most places that are listed one by one. */
export const MOST_PLACES = 8;

/** Places of the cycle, with their bar where there are several; long lists are cut. */
export function sayPlaces(places: readonly Tick[], exercise: Exercise): string {
  const said = places.slice(0, MOST_PLACES).map((at) => {
    const name = countName(at, exercise.meter);
    return exercise.bars === 1 ? name : `${Math.floor(at / exercise.barTicks) + 1}: ${name}`;
  });
  const more = places.length - said.length;
  return said.join(', ') + (more > 0 ? ` and ${more} more` : '');
}
