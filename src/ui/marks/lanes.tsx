'use client';

import { memo, useEffect, useMemo, useRef } from 'react';
import { instantsOf, type Instant } from '@/core/analysis';
import { LIMBS, limbName, staffOrder, voice, type Limb, type VoiceId } from '@/core/kit';
import type { Tick } from '@/core/time';
import type { Stroke } from '@/core/pattern';
import type { Position } from '@/core/playing';
import type { Exercise } from '@/core/recipe';
import { useSpeech } from '../base';
import { columnsIn, placeX, type BarBox, type Column, type System } from './columns';
import { Mark } from './mark';
import { useSame } from './use-same';

/** What a row stands for: a voice, or a limb. */
export type RowKind = 'voices' | 'limbs';

export interface Row {
  readonly key: VoiceId | Limb;
  readonly name: string;
}

/** A place on the lanes: a row, and ticks from the cycle's start. */
export interface Cell {
  readonly row: Row['key'];
  readonly at: number;
}

/** Lanes that are written on. */
export interface Editing {
  /** A grid that has columns in any case. */
  readonly slot: Tick;
  /** Rows that are there although nothing sounds on them. */
  readonly extraRows: readonly VoiceId[];
  readonly cursor: Cell | null;
  /** Names of chosen strokes; see `strokeKey`. */
  readonly chosen: ReadonlySet<string>;
  /** A press on a cell, and where it was let go. */
  readonly onDrag: (from: Cell, to: Cell, keys: { shift: boolean; mod: boolean }) => void;
}

export function strokeKey({ at, limb, voice: id }: Stroke): string {
  return `${at} ${limb} ${id}`;
}

/** Tells at every frame where playing stands; null when nothing plays. */
export type Subscribe = (tell: (position: Position | null) => void) => () => void;

const NO_ROWS: readonly VoiceId[] = [];

const HEAD = 30;
const ROW = 30;
const FOOT = 6;

export function lanesHeight(exercise: Exercise, rows: RowKind, scale = 1): number {
  return (HEAD + rowsOf(exercise, rows, []).length * ROW + FOOT) * scale;
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
  editing,
}: {
  exercise: Exercise;
  system: System;
  rows: RowKind;
  subscribe?: Subscribe;
  scale?: number;
  names?: boolean;
  muted?: ReadonlySet<Limb>;
  editing?: Editing;
}) {
  const extra = editing?.extraRows ?? NO_ROWS;
  const made = useMemo(() => rowsOf(exercise, kind, extra), [exercise, kind, extra]);
  const rows = useSame(made, made.map((row) => row.key).join());
  const height = (HEAD + rows.length * ROW + FOOT) * scale;
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
          {...{ exercise, box, kind, rows, height, scale, muted, editing }}
          lastOfSystem={box === system.bars.at(-1)}
        />
      ))}
      {subscribe && (
        <Playhead exercise={exercise} system={system} height={height} subscribe={subscribe} />
      )}
    </svg>
  );
}

/** What a bar shows is gathered here; it is drawn anew only where that changed. */
function Bar({
  exercise,
  box,
  kind,
  rows,
  height,
  scale,
  muted,
  editing,
  lastOfSystem,
}: {
  exercise: Exercise;
  box: BarBox;
  kind: RowKind;
  rows: readonly Row[];
  height: number;
  scale: number;
  muted?: ReadonlySet<Limb>;
  editing?: Editing;
  lastOfSystem: boolean;
}) {
  const { syllables } = useSpeech();
  const start = box.bar * exercise.barTicks;
  const instants = instantsOf(exercise).filter(
    (instant) => instant.at >= start + box.from && instant.at < start + box.to,
  );
  const columns = columnsIn(box, exercise, syllables, editing?.slot);
  const chosen = instants
    .flatMap((instant) => instant.strokes.map(strokeKey))
    .filter((key) => editing?.chosen.has(key));
  const view = { box, instants, columns, start, chosen: new Set(chosen) };
  const strokes = instants.map((instant) =>
    instant.strokes.map((one) => [strokeKey(one), one.dynamic, one.ornament, one.texture]),
  );
  const same = useSame(view, JSON.stringify([box, strokes, columns, chosen]));
  return (
    <g>
      <BarView view={same} {...{ kind, rows, height, scale, muted, lastOfSystem }} />
      {editing && (
        <>
          <Cells columns={same.columns} rows={rows} start={start} onDrag={editing.onDrag} />
          <Cursor columns={same.columns} rows={rows} start={start} cursor={editing.cursor} />
        </>
      )}
    </g>
  );
}

/** One bar as it is drawn. */
interface BarShown {
  readonly box: BarBox;
  readonly instants: readonly Instant[];
  readonly columns: readonly Column[];
  /** Ticks from the cycle's start. */
  readonly start: number;
  readonly chosen: ReadonlySet<string>;
}

const BarView = memo(function BarView({
  view: { box, instants, columns, start, chosen },
  kind,
  rows,
  height,
  scale,
  muted,
  lastOfSystem,
}: {
  view: BarShown;
  kind: RowKind;
  rows: readonly Row[];
  height: number;
  scale: number;
  muted?: ReadonlySet<Limb>;
  lastOfSystem: boolean;
}) {
  const yOf = (stroke: Stroke) => {
    const index = rows.findIndex((row) => row.key === rowKey(stroke, kind));
    return (HEAD + (index + 0.5) * ROW) * scale;
  };
  return (
    <>
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
      {columns.map((column) => (
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
                {chosen.has(strokeKey(stroke)) && (
                  <circle
                    cx={x}
                    cy={yOf(stroke)}
                    r={13.5 * scale}
                    className="fill-warm-wash stroke-warm"
                    data-chosen
                  />
                )}
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
    </>
  );
});

/** A place to press for every row and column. There are many, so they are drawn anew only when rows
 * or columns change. */
const Cells = memo(function Cells({
  columns,
  rows,
  start,
  onDrag,
}: {
  columns: readonly Column[];
  rows: readonly Row[];
  start: number;
  onDrag: Editing['onDrag'];
}) {
  return rows.map((row, index) =>
    columns.map((column, nth) => {
      const at = start + column.at;
      return (
        <rect
          key={`${row.key} ${column.at}`}
          {...cellSpan(columns, nth)}
          y={HEAD + index * ROW + 1}
          height={ROW - 2}
          className="cell hover:stroke-line"
          data-cell={`${row.key} ${at}`}
          onPointerDown={(event) => {
            const from = { row: row.key, at };
            const keys = { shift: event.shiftKey, mod: event.ctrlKey || event.metaKey };
            event.currentTarget.ownerDocument.addEventListener(
              'pointerup',
              (up) => {
                const under =
                  up.target instanceof Element ? up.target.closest('[data-cell]') : null;
                const [key, place] = under?.getAttribute('data-cell')?.split(' ') ?? [];
                const to = key && place ? { row: key as Row['key'], at: Number(place) } : from;
                onDrag(from, to, keys);
              },
              { once: true },
            );
          }}
        />
      );
    }),
  );
});

/** From halfway to the column before up to halfway to the one after. */
function cellSpan(columns: readonly Column[], nth: number): { x: number; width: number } {
  const x = columns[nth]?.x ?? 0;
  const before = columns[nth - 1]?.x;
  const after = columns[nth + 1]?.x;
  const left = before === undefined ? x - CELL : (before + x) / 2;
  const right = after === undefined ? x + CELL : (x + after) / 2;
  return { x: left, width: right - left };
}

function Cursor({
  columns,
  rows,
  start,
  cursor,
}: {
  columns: readonly Column[];
  rows: readonly Row[];
  start: number;
  cursor: Cell | null;
}) {
  const row = rows.findIndex((one) => one.key === cursor?.row);
  const nth = columns.findIndex((column) => start + column.at === cursor?.at);
  if (row < 0 || nth < 0) return null;
  return (
    <rect
      {...cellSpan(columns, nth)}
      y={HEAD + row * ROW + 1}
      height={ROW - 2}
      className="pointer-events-none fill-none stroke-warm"
      strokeWidth={2}
      data-cursor
    />
  );
}

/** Half the width of a lone cell. */
const CELL = 12;

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

export function rowKey(stroke: Stroke, kind: RowKind): Row['key'] {
  return kind === 'voices' ? stroke.voice : stroke.limb;
}

/** Rows from the top of the staff down; in limbs, right hand first.
 * @param extra voices that have a row although nothing sounds on them */
export function rowsOf(
  exercise: Exercise,
  kind: RowKind,
  extra: readonly VoiceId[],
): readonly Row[] {
  const used = new Set(exercise.strokes.map((stroke) => rowKey(stroke, kind)));
  if (kind === 'limbs') {
    return LIMBS.filter((limb) => used.has(limb) || extra.length > 0).map((key) => ({
      key,
      name: limbName(key),
    }));
  }
  return [...new Set([...(used as Set<VoiceId>), ...extra])]
    .sort((a, b) => staffOrder(a) - staffOrder(b))
    .map((key) => ({ key, name: voice(key).name }));
}
