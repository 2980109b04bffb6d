'use client';

import { memo, useMemo } from 'react';
import {
  GLYPHS,
  placeBar,
  repeatsOf,
  shapeBar,
  stickingRow,
  type StaffBar,
  type StaffBracket,
} from '@/core/notation';
import type { Exercise } from '@/core/recipe';
import { sayStaff } from '@/words';
import { useSpeech } from '../base';
import { columnsIn, placeX, SPACE, type BarBox, type System } from './columns';
import { Playhead, type Subscribe } from './playhead';
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
  const topLine = PAD + (count ? ROW : 0) + (exercise.bars > 1 ? NUMBER_ROW : 0) - top;
  const rows = exercise.bars > 1 ? NUMBER_ROW : 0;
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
    if (repeat === 'empty') return placeBar(EMPTY, place);
    return placeBar(shape, place, repeat);
  }, [exercise, box, space, repeat]);
  const texts: RowText[] = [];
  if (rows.count && repeat === null) {
    for (const { x, text, level } of columnsIn(box, exercise, syllables)) {
      texts.push({ x: x / space, y: extent.countY, text, isBeat: level === 'beat' });
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
  const view: BarShown = {
    drawn,
    texts,
    number,
    numberAt: [box.edge / space, extent.countY + NUMBER_ROW + 0.4],
  };
  return <BarView view={useSame(view, JSON.stringify(view))} />;
}

const EMPTY = {
  hands: { columns: [], beams: [], tuplets: [] },
  feet: { columns: [], beams: [], tuplets: [] },
  moved: new Map<number, number>(),
  columns: [],
  rests: false,
  top: 0,
  bottom: 4,
  onRepeat: null,
} as const;

interface RowText {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly isBeat: boolean;
}

interface BarShown {
  readonly drawn: StaffBar;
  readonly texts: readonly RowText[];
  readonly number: number | null;
  readonly numberAt: readonly [x: number, y: number];
}

const BarView = memo(function BarView({
  view: { drawn, texts, number, numberAt },
}: {
  view: BarShown;
}) {
  const { glyphs, strokes, slants, bows, brackets } = drawn;
  return (
    <g data-staff-bar>
      <path d={strokes.map(([x, y, right, to]) => `M${x} ${y}H${right}V${to}H${x}Z`).join('')} />
      {glyphs.map((one, index) => (
        <Glyph key={index} {...one} />
      ))}
      {slants.map(({ from, to }) => (
        <path
          key={from.join()}
          d={`M${from.join(' ')}L${to.join(' ')}`}
          className="stroke-ink"
          strokeWidth={0.12}
        />
      ))}
      {bows.map(({ from, to, y }) => (
        <path key={from} d={bowPath(from, to, y)} />
      ))}
      {brackets.map((one) => (
        <Bracket key={`${one.from} ${one.y}`} bracket={one} />
      ))}
      {number !== null && (
        <text x={numberAt[0]} y={numberAt[1]} className="fill-soft font-sans" fontSize={1.15}>
          {number}
        </text>
      )}
      {texts.map(({ x, y, text, isBeat }, index) => (
        <text
          key={index}
          x={x}
          y={y}
          textAnchor="middle"
          fontSize={isBeat ? 1.5 : 1.2}
          fontWeight={isBeat ? 600 : 400}
          className={isBeat ? 'font-sans' : 'fill-soft font-sans'}
        >
          {text}
        </text>
      ))}
    </g>
  );
});

/** A glyph of the music font. */
export function Glyph({
  glyph,
  x,
  y,
  size = 1,
}: {
  glyph: keyof typeof GLYPHS;
  x: number;
  y: number;
  size?: number;
}) {
  const at = `translate(${x} ${y})`;
  return (
    <use
      href={`/notation.svg#${glyph}`}
      transform={size === 1 ? at : `${at} scale(${size})`}
      data-glyph={glyph}
    />
  );
}

function Bracket({ bracket: { text, from, to, y, up, kind } }: { bracket: StaffBracket }) {
  const middle = (from + to) / 2;
  const hook = up ? y + 0.6 : y - 0.6;
  const gap = 0.35 + text.length * 0.35;
  if (kind === 'second-time') {
    return (
      <g>
        <path
          d={`M${from} ${hook}V${up ? y - 0.7 : y + 0.7}H${to}`}
          fill="none"
          className="stroke-ink"
          strokeWidth={0.12}
        />
        <text x={from + 0.35} y={y + 0.5} className="font-serif" fontSize={1.3}>
          {text}
        </text>
      </g>
    );
  }
  return (
    <g>
      {kind === 'bracket' && (
        <path
          d={`M${from} ${hook}V${y}H${middle - gap}M${middle + gap} ${y}H${to}V${hook}`}
          fill="none"
          className="stroke-ink"
          strokeWidth={0.12}
        />
      )}
      <text x={middle} y={y + 0.5} textAnchor="middle" className="font-serif italic" fontSize={1.5}>
        {text}
      </text>
    </g>
  );
}

/** A bow under two heads, thicker in its middle. */
function bowPath(from: number, to: number, y: number): string {
  const middle = (from + to) / 2;
  return `M${from} ${y}Q${middle} ${y + 0.75} ${to} ${y}Q${middle} ${y + 0.5} ${from} ${y}Z`;
}
