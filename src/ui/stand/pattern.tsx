'use client';

import { useMemo, useRef } from 'react';
import type { Exercise } from '@/core/recipe';
import {
  Lanes,
  lanesHeight,
  holdsMarks,
  systemsOf,
  useSize,
  type Subscribe,
  type System,
} from '../marks';

const LARGEST = 3.2;
const SMALLEST = 0.8;
const STEP = 0.2;
const NAMES = 96;

/** The pattern as large as its place allows; bars break in two where that makes them larger. */
export function Pattern({ exercise, subscribe }: { exercise: Exercise; subscribe?: Subscribe }) {
  const place = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(place, { width: 1200, height: 400 });
  const { systems, scale } = useMemo(() => fit(exercise, width, height), [exercise, width, height]);
  return (
    <div ref={place} className="min-h-0 flex-1 overflow-y-auto">
      <div className="flex min-h-full flex-col justify-center" style={{ gap: 12 * scale }}>
        {systems.map((system, index) => (
          <Lanes key={index} {...{ exercise, system, subscribe, scale }} rows="voices" />
        ))}
      </div>
    </div>
  );
}

function fit(
  exercise: Exercise,
  width: number,
  height: number,
): { systems: readonly System[]; scale: number } {
  for (let scale = LARGEST; scale > SMALLEST; scale -= STEP) {
    for (const halves of [false, true]) {
      const systems = systemsAt(exercise, width, scale, halves);
      const tall = systems.length * (lanesHeight(exercise, 'voices', scale) + 12 * scale);
      if (tall <= height && holdsMarks(exercise, systems, scale)) {
        return { systems, scale };
      }
    }
  }
  return { systems: systemsAt(exercise, width, SMALLEST, width < 700), scale: SMALLEST };
}

function systemsAt(exercise: Exercise, width: number, scale: number, halves: boolean) {
  return systemsOf(exercise, {
    width,
    gutter: NAMES * scale,
    scale,
    halves,
  });
}
