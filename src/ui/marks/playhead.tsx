'use client';

import { useEffect, useRef } from 'react';
import type { Position } from '@/core/playing';
import type { Exercise } from '@/core/recipe';
import { placeX, type System } from './columns';

/** Tells at every frame where playing stands; null when nothing plays. */
export type Subscribe = (tell: (position: Position | null) => void) => () => void;

/** Where it sounds; it moves by itself, without drawing the system anew. */
export function Playhead({
  exercise,
  system,
  height,
  subscribe,
}: {
  exercise: Exercise;
  system: System;
  height: number;
  subscribe: Subscribe;
}) {
  const line = useRef<SVGLineElement>(null);
  useEffect(
    () =>
      subscribe((position) => {
        const inCycle = position?.phase === 'playing' ? position.inCycle : -1;
        const bar = Math.floor(inCycle / exercise.barTicks);
        const inBar = inCycle - bar * exercise.barTicks;
        const box = system.bars.find(
          (one) => one.bar === bar && inBar >= one.from && inBar < one.to,
        );
        if (!line.current) return;
        line.current.style.display = box ? '' : 'none';
        if (!box) return;
        const x = placeX(box, inBar);
        line.current.setAttribute('transform', `translate(${x} 0)`);
      }),
    [exercise, system, subscribe],
  );
  return (
    <line
      ref={line}
      y1={0}
      y2={height}
      className="stroke-warm"
      strokeWidth={2}
      style={{ display: 'none' }}
    />
  );
}
