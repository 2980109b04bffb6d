'use client';

import { useState, type PointerEvent, type ReactNode } from 'react';
import { columnsOfBar } from '@/core/analysis';
import type { Loop } from '@/core/playing';
import type { Exercise } from '@/core/recipe';
import { tick } from '@/core/time';
import { placeX, type System } from './columns';

/** Px that a hand moves before it drags. */
const MOVED = 6;

interface Slot {
  readonly from: number;
  readonly to: number;
}

/** The slot of a system under a place, in ticks of the cycle; null beside its bars. @param x px from its left edge */
export function slotAt(x: number, system: System, exercise: Exercise): Slot | null {
  const box = system.bars.find((one) => x >= one.edge && x < one.right);
  if (!box) return null;
  const start = box.bar * exercise.barTicks;
  const columns = columnsOfBar(exercise, box.bar).filter((at) => at >= box.from && at < box.to);
  // A slot reaches from half a slot before its column to half a slot before the next one.
  const found = columns.findLastIndex((at, index) => {
    const before = index === 0 ? box.edge : placeX(box, columns[index - 1] ?? 0);
    return index === 0 || x >= (placeX(box, at) + before) / 2;
  });
  const from = columns[found];
  return from === undefined
    ? null
    : { from: start + from, to: start + (columns[found + 1] ?? box.to) };
}

/** From the one slot through the other. */
export function loopOf(one: Slot, other: Slot): Loop {
  return { from: tick(Math.min(one.from, other.from)), to: tick(Math.max(one.to, other.to)) };
}

/** Slots of a system that are dragged over, with what goes round marked. */
export function LoopDrag({
  exercise,
  system,
  loop,
  onLoop,
  children,
}: {
  exercise: Exercise;
  system: System;
  loop: Loop | null;
  onLoop: (loop: Loop) => void;
  children: ReactNode;
}) {
  const [begun, setBegun] = useState<{ readonly x: number; readonly slot: Slot } | null>(null);
  const [now, setNow] = useState<Loop | null>(null);
  const xOf = (event: PointerEvent) =>
    event.clientX - event.currentTarget.getBoundingClientRect().left;
  const shown = now ?? loop;
  function onDown(event: PointerEvent) {
    if (event.button !== 0) return;
    const slot = slotAt(xOf(event), system, exercise);
    setBegun(slot && { x: xOf(event), slot });
  }
  function onMove(event: PointerEvent) {
    if (!begun || (now === null && Math.abs(xOf(event) - begun.x) < MOVED)) return;
    if (now === null) event.currentTarget.setPointerCapture(event.pointerId);
    const slot = slotAt(xOf(event), system, exercise);
    if (slot) setNow(loopOf(begun.slot, slot));
  }
  function onUp() {
    if (now) onLoop(now);
    setBegun(null);
    setNow(null);
  }
  return (
    <div
      className="relative touch-pan-y"
      onPointerDown={onDown}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={() => {
        setBegun(null);
        setNow(null);
      }}
    >
      {shown &&
        system.bars.map((box) => {
          const start = box.bar * exercise.barTicks;
          const from = Math.max(box.from, shown.from - start);
          const to = Math.min(box.to, shown.to - start);
          if (to <= from) return null;
          const left = placeX(box, from) - HALF;
          return (
            <div
              key={`${box.bar} ${box.from}`}
              data-loop
              className="pointer-events-none absolute inset-y-0 rounded-sm bg-warm-wash"
              style={{ left, width: placeX(box, to) - HALF - left }}
            />
          );
        })}
      <div className="relative">{children}</div>
    </div>
  );
}

/** Px before a column where its slot begins to be marked. */
const HALF = 11;
