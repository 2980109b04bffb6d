'use client';

import { useMemo } from 'react';
import { instantsOf } from '@/core/analysis';
import type { Limb, VoiceId } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { useSpeech } from '../base';
import { columnsIn, type BarBox, type System } from './columns';
import { strokeKey, type Editing } from './editing';
import { BarView } from './lane-bar';
import { Cells, Cursor } from './lane-cells';
import { Playhead, type Subscribe } from './playhead';
import { FOOT, HEAD, ROW, rowsOf, sayRow, type Row, type RowKind } from './rows';
import { useSame } from './use-same';

const NO_ROWS: readonly VoiceId[] = [];

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
  const { say } = useSpeech();
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
      aria-label={say.t('screen.common.lanesBar', { label })}
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
              {sayRow(say, row.key, exercise)}
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
