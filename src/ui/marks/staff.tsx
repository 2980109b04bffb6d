'use client';

import { useMemo } from 'react';
import { columnsOfBar } from '@/core/analysis';
import { countRow, GLYPHS, placeBar, repeatsOf, shapeBar, stickingRow } from '@/core/notation';
import type { Exercise } from '@/core/recipe';
import { sayStaff } from '@/words';
import { useSpeech } from '../base';
import { placeX, SPACE, type BarBox, type System } from './columns';
import { Playhead, type Subscribe } from './playhead';
import { Glyph, StaffBarView, type RowText, type StaffBarShown } from './staff-bar';
import { useSame } from './use-same';

/** What stands around the notes of a staff. */
export interface StaffRows {
  /** Counted over the notes. */
  readonly count?: boolean;
  /** Hands under the notes. */
  readonly sticking?: boolean;
  /** Bars that are the same as before have a repeat sign. */
  readonly repeats?: boolean;
}

/** In staff spaces. */
const ROW = 2;
const PAD = 0.8;

interface Extent {
  /** Down from the top of the drawing. */
  readonly topLine: number;
  readonly height: number;
  readonly countY: number;
  readonly stickingY: number;
}

/** How high the staff of an exercise is, the same in all its rows; in staff spaces. */
function extentOf(exercise: Exercise, { count, sticking }: StaffRows): Extent {
  const shapes = Array.from({ length: exercise.bars }, (_, bar) => shapeBar(exercise, bar));
  const isTwice = shapes.some((shape) => shape.onRepeat);
  const over = isTwice ? ROW : 0;
  const top = Math.min(-1.5, ...shapes.map((shape) => shape.top)) - over;
  const bottom = Math.max(5, ...shapes.map((shape) => shape.bottom)) + over;
  const rows = exercise.bars > 1 ? NUMBER_ROW : 0;
  const topLine = PAD + (count ? ROW : 0) + rows - top;
  return {
    topLine,
    countY: top - rows - 0.5,
    stickingY: bottom + 1.6,
    height: topLine + bottom + (sticking ? ROW * 1.6 : 0) + PAD / 2,
  };
}

const NUMBER_ROW = 0.9;

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
        <Head exercise={exercise} width={edge / space} isFirst={first} />
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

/** Clef and meter, at the left edge of what is kept free for them. */
function Head({
  exercise,
  width,
  isFirst,
}: {
  exercise: Exercise;
  width: number;
  isFirst: boolean;
}) {
  const { count, unit } = exercise.meter;
  if (width < 4) return null;
  return (
    <g>
      <Glyph glyph="percussionClef" x={0.8} y={2} />
      {isFirst && (
        <>
          <Digits number={count} x={4} y={1} />
          <Digits number={unit} x={4} y={3} />
        </>
      )}
    </g>
  );
}

function Digits({ number, x, y }: { number: number; x: number; y: number }) {
  const ids = [...String(number)].map((digit) => `meter${digit}` as keyof typeof GLYPHS);
  const widths = ids.map((id) => GLYPHS[id][2]);
  const width = widths.reduce((sum, one) => sum + one, 0);
  const lefts = widths.map((_, index) => widths.slice(0, index).reduce((a, b) => a + b, 0));
  return ids.map((id, index) => (
    <Glyph key={index} glyph={id} x={x - width / 2 + (lefts[index] ?? 0)} y={y} />
  ));
}

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
  extent: Extent;
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
  const texts: RowText[] = [];
  if (rows.count && repeat === null) {
    const counted = columnsOfBar(exercise, box.bar).filter((at) => at >= box.from && at < box.to);
    for (const { at, text, isBeat } of countRow(counted, exercise.meter, syllables)) {
      texts.push({ x: placeX(box, at) / space, y: extent.countY, text, isBeat });
    }
  }
  if (rows.sticking && repeat === null) {
    for (const { at, letters } of stickingRow(exercise, box.bar)) {
      if (at < box.from || at >= box.to) continue;
      letters.forEach((text, index) =>
        texts.push({
          x: placeX(box, at) / space,
          y: extent.stickingY + index * 1.5,
          text,
          isBeat: true,
        }),
      );
    }
  }
  const number = exercise.bars > 1 && box.from === 0 ? box.bar + 1 : null;
  const view: StaffBarShown = {
    drawn,
    texts,
    number,
    numberAt: [box.edge / space, extent.countY + NUMBER_ROW + 0.4],
  };
  return <StaffBarView view={useSame(view, JSON.stringify(view))} />;
}
