'use client';

import { useEffect, useMemo, useRef } from 'react';
import { instantsOf } from '@/core/analysis';
import { LIMBS, limbName, staffOrder, voice, type Limb, type VoiceId } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Position } from '@/core/playing';
import type { Exercise } from '@/core/recipe';
import { useSpeech } from '../base';
import { columnsIn, placeX, type BarBox, type System } from './columns';
import { Mark } from './mark';

/** What a row stands for: a voice, or a limb. */
export type RowKind = 'voices' | 'limbs';

interface Row {
  readonly key: VoiceId | Limb;
  readonly name: string;
}

/** Tells at every frame where playing stands; null when nothing plays. */
export type Subscribe = (tell: (position: Position | null) => void) => () => void;

const HEAD = 30;
const ROW = 30;
const FOOT = 6;

export function lanesHeight(exercise: Exercise, rows: RowKind, scale = 1): number {
  return (HEAD + rowsOf(exercise, rows).length * ROW + FOOT) * scale;
}

/** The lanes of one system: the count on top, a row for each voice or limb, lock lines between
 * limbs that sound together. */
export function Lanes({
  exercise,
  system,
  rows: kind,
  subscribe,
  scale = 1,
  names = true,
  muted,
}: {
  exercise: Exercise;
  system: System;
  rows: RowKind;
  subscribe?: Subscribe;
  scale?: number;
  names?: boolean;
  muted?: ReadonlySet<Limb>;
}) {
  const rows = useMemo(() => rowsOf(exercise, kind), [exercise, kind]);
  const height = (HEAD + rows.length * ROW + FOOT) * scale;
  const yOf = (stroke: Stroke) => {
    const index = rows.findIndex((row) => row.key === rowKey(stroke, kind));
    return (HEAD + (index + 0.5) * ROW) * scale;
  };
  const label = system.bars.map((box) => box.bar + 1).join(', ');
  return (
    <svg
      width={system.width}
      height={height}
      viewBox={`0 0 ${system.width} ${height}`}
      role="img"
      aria-label={`Lanes, bar ${label}`}
      className="block"
    >
      {rows.map((row, index) => (
        <g key={row.key}>
          <line
            x1={system.bars[0]?.edge ?? 0}
            x2={system.width}
            y1={(HEAD + (index + 0.5) * ROW) * scale}
            y2={(HEAD + (index + 0.5) * ROW) * scale}
            className="stroke-faint"
          />
          {names && (
            <text
              x={0}
              y={(HEAD + (index + 0.5) * ROW + 4) * scale}
              fontSize={12.5 * scale}
              className="fill-soft"
            >
              {row.name}
            </text>
          )}
        </g>
      ))}
      {system.bars.map((box) => (
        <Bar
          key={`${box.bar} ${box.from}`}
          {...{ exercise, box, kind, yOf, height, scale, muted }}
          lastOfSystem={box === system.bars.at(-1)}
        />
      ))}
      {subscribe && (
        <Playhead exercise={exercise} system={system} height={height} subscribe={subscribe} />
      )}
    </svg>
  );
}

function Bar({
  exercise,
  box,
  kind,
  yOf,
  height,
  scale,
  muted,
  lastOfSystem,
}: {
  exercise: Exercise;
  box: BarBox;
  kind: RowKind;
  yOf: (stroke: Stroke) => number;
  height: number;
  scale: number;
  muted?: ReadonlySet<Limb>;
  lastOfSystem: boolean;
}) {
  const { syllables } = useSpeech();
  const start = box.bar * exercise.barTicks;
  const instants = instantsOf(exercise).filter(
    (instant) => instant.at >= start + box.from && instant.at < start + box.to,
  );
  return (
    <g>
      <line
        x1={box.edge}
        x2={box.edge}
        y1={HEAD * scale}
        y2={height}
        className="stroke-soft"
        strokeWidth={1}
      />
      {lastOfSystem && (
        <line
          x1={box.right - 0.5}
          x2={box.right - 0.5}
          y1={HEAD * scale}
          y2={height}
          className="stroke-soft"
        />
      )}
      {columnsIn(box, exercise, syllables).map((column) => (
        <g key={column.at}>
          {column.level === 'beat' && (
            <line
              x1={column.x}
              x2={column.x}
              y1={HEAD * scale}
              y2={height}
              className="stroke-line"
              strokeDasharray="1 3"
            />
          )}
          <text
            x={column.x}
            y={(HEAD - 8) * scale}
            textAnchor="middle"
            fontSize={(column.level === 'beat' ? 17 : column.level === 'half' ? 13 : 11) * scale}
            fontWeight={column.level === 'beat' ? 700 : 400}
            className={column.level === 'beat' ? 'fill-ink' : 'fill-soft'}
          >
            {column.text}
          </text>
        </g>
      ))}
      {instants.map((instant) => {
        const x = placeX(box, instant.at - start);
        const heights = instant.strokes.map(yOf);
        return (
          <g key={instant.at}>
            {instant.strokes.length > 1 && (
              <line
                x1={x}
                x2={x}
                y1={Math.min(...heights)}
                y2={Math.max(...heights)}
                className="lock stroke-warm"
                strokeWidth={2.4 * scale}
              />
            )}
            {instant.strokes.map((stroke, index) => (
              <g key={index} opacity={muted?.has(stroke.limb) ? 0.3 : 1}>
                <Mark
                  stroke={stroke}
                  x={x}
                  y={yOf(stroke)}
                  letter={kind === 'limbs'}
                  scale={scale}
                />
              </g>
            ))}
          </g>
        );
      })}
    </g>
  );
}

/** Moves by itself, without drawing the lanes anew. */
function Playhead({
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

function rowKey(stroke: Stroke, kind: RowKind): Row['key'] {
  return kind === 'voices' ? stroke.voice : stroke.limb;
}

function rowsOf(exercise: Exercise, kind: RowKind): readonly Row[] {
  const used = new Set(exercise.strokes.map((stroke) => rowKey(stroke, kind)));
  if (kind === 'limbs') {
    return LIMBS.filter((limb) => used.has(limb)).map((key) => ({ key, name: limbName(key) }));
  }
  return [...(used as Set<VoiceId>)]
    .sort((a, b) => staffOrder(a) - staffOrder(b))
    .map((key) => ({ key, name: voice(key).name }));
}
