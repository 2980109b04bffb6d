'use client';

import { useMemo } from 'react';
import { columnsOfBar } from '@/core/analysis';
import {
  CLEF_ROOM,
  countRow,
  extentOf,
  headOf,
  placeBar,
  repeatsOf,
  rowTexts,
  shapeBar,
  type StaffExtent,
  type StaffRows,
} from '@/core/notation';
import type { Exercise } from '@/core/recipe';
import { sayFeel, sayStaff } from '@/words';
import { useSpeech } from '../base';
import { placeX, SPACE, type BarBox, type System } from './columns';
import { Playhead, type Subscribe } from './playhead';
import { Glyph, StaffBarView, type StaffBarShown } from './staff-bar';
import { useSame } from './use-same';

/** Px, at a size. */
export function staffHeight(exercise: Exercise, rows: StaffRows = {}, scale = 1): number {
  return extentOf(exercise, rows).height * SPACE * scale;
}

/** Standard percussion notation of one system, as the core lays it out.
 * @param first whether the meter is written */
export function Staff({
  exercise,
  system,
  first,
  scale = 1,
  rows = NO_ROWS,
  subscribe,
}: {
  exercise: Exercise;
  system: System;
  first: boolean;
  scale?: number;
  rows?: StaffRows;
  subscribe?: Subscribe;
}) {
  const { say } = useSpeech();
  const extent = useMemo(() => extentOf(exercise, rows), [exercise, rows]);
  const repeats = useMemo(() => (rows.repeats ? repeatsOf(exercise) : []), [exercise, rows]);
  const { feel } = exercise;
  const space = SPACE * scale;
  const height = extent.height * space;
  const edge = system.bars[0]?.edge ?? 0;
  const right = system.bars.at(-1)?.right ?? system.width;
  const bars = [...new Set(system.bars.map((box) => box.bar))];
  return (
    <svg
      width={system.width}
      height={height}
      viewBox={`0 0 ${system.width} ${height}`}
      role="img"
      aria-label={sayStaff(say, exercise, bars)}
      data-staff
      className="block overflow-visible fill-ink"
    >
      <g transform={`translate(0 ${extent.topLine * space}) scale(${space})`}>
        <path
          d={[0, 1, 2, 3, 4].map((y) => `M0 ${y}H${right / space}`).join('')}
          className="stroke-soft"
          strokeWidth={0.1}
        />
        {edge / space >= CLEF_ROOM &&
          headOf(exercise.meter, first).map((sign) => (
            <Glyph key={`${sign.x} ${sign.y}`} {...sign} />
          ))}
        {first && feel.kind === 'swung' && (
          <text x={0} y={extent.numberY} fontSize={1.4} className="fill-ink font-sans italic">
            {sayFeel(say, feel)}
          </text>
        )}
        {system.bars.map((box) => (
          <Bar
            key={`${box.bar} ${box.from}`}
            {...{ exercise, box, space, rows, extent }}
            repeat={repeats[box.bar] ?? null}
          />
        ))}
      </g>
      {subscribe && (
        <Playhead exercise={exercise} system={system} height={height} subscribe={subscribe} />
      )}
    </svg>
  );
}

const NO_ROWS: StaffRows = {};

/** A bar gathers what it shows; it is drawn anew only where that changed. */
function Bar({
  exercise,
  box,
  space,
  rows,
  extent,
  repeat,
}: {
  exercise: Exercise;
  box: BarBox;
  space: number;
  rows: StaffRows;
  extent: StaffExtent;
  repeat: 1 | 2 | 'empty' | null;
}) {
  const { syllables } = useSpeech();
  const drawn = useMemo(() => {
    const shape = shapeBar(exercise, box.bar, box.from, box.to);
    const place = {
      left: box.edge / space,
      right: box.right / space,
      xOf: (at: number) => placeX(box, at) / space,
      begins: box.bar === 0 && box.from === 0,
      ends: box.bar === exercise.bars - 1 && box.to === exercise.barTicks,
      closes: box.to === exercise.barTicks,
    };
    return placeBar(shape, place, repeat);
  }, [exercise, box, space, repeat]);
  const isWritten = repeat === null;
  const counted = rows.count && isWritten ? columnsOfBar(exercise, box.bar) : [];
  const words = countRow(
    counted.filter((at) => at >= box.from && at < box.to),
    exercise.meter,
    syllables,
  );
  const xOf = (at: number) => placeX(box, at) / space;
  const texts = isWritten ? rowTexts(exercise, box, rows, extent, words, xOf) : [];
  const number = exercise.bars > 1 && box.from === 0 ? box.bar + 1 : null;
  const view: StaffBarShown = {
    drawn,
    texts,
    number,
    numberAt: [box.edge / space, extent.numberY],
  };
  return <StaffBarView view={useSame(view, JSON.stringify(view))} />;
}
