import { clsx } from 'clsx';
import {
  layOutLine,
  lineBracketPath,
  LINE_TUPLET_Y,
  tiePath,
  type BarLayout,
} from '@/core/notation';
import type { ReadingLine } from '@/core/reading';
import { sayRhythm, type Say } from '@/words';

/** A staff space, in letters of the text around it. */
const SPACE_EM = 0.42;

/** From the line, in staff spaces: over stems, over tuplets, and under rests. */
const OVER = 4.3;
const OVER_TUPLETS = 5.6;
const UNDER = 2.1;

/** A reading line as a reader knows it: values on one line, a picture for each bar, so that bars go on in the
 * next row where a row is full.
 * @param numbered with the number over each bar
 * @param even all bars of one width, as on a page */
export function LineNotation({
  line,
  say,
  even = false,
  numbered = false,
  opens = true,
  ends = true,
  className,
}: {
  line: ReadingLine;
  say: Say;
  even?: boolean;
  numbered?: boolean;
  opens?: boolean;
  ends?: boolean;
  className?: string;
}) {
  const bars = layOutLine(line, { opens, ends, even });
  const over = numbered || bars.some((bar) => bar.tuplets.length > 0) ? OVER_TUPLETS : OVER;
  return (
    <span
      role="img"
      aria-label={sayRhythm(say, line)}
      data-notation
      className={clsx('inline-flex flex-wrap align-middle whitespace-nowrap', className)}
    >
      {bars.map((bar, index) => (
        <Bar key={index} bar={bar} over={over} number={numbered ? index + 1 : null} />
      ))}
    </span>
  );
}

function Bar({ bar, over, number }: { bar: BarLayout; over: number; number: number | null }) {
  const { width, glyphs, strokes, ties, tuplets } = bar;
  const height = over + UNDER;
  return (
    <svg
      aria-hidden
      viewBox={`0 ${-over} ${width} ${height}`}
      style={{ width: `${width * SPACE_EM}em`, height: `${height * SPACE_EM}em` }}
      className="shrink-0 fill-current"
    >
      <path d={`M0 0H${width}`} stroke="currentColor" strokeWidth={0.13} />
      {strokes.map(([left, top, right, bottom], index) => (
        <rect key={index} x={left} y={top} width={right - left} height={bottom - top} />
      ))}
      {glyphs.map(({ glyph, x, y }, index) => (
        <use key={index} href={`/notation.svg#${glyph}`} x={x} y={y} />
      ))}
      {ties.map((tie) => (
        <path key={tie.from} d={tiePath(tie)} />
      ))}
      {tuplets.map(({ number: played, from, to, bracket }) => (
        <g key={from}>
          {bracket && (
            <path
              d={lineBracketPath(from, to)}
              fill="none"
              stroke="currentColor"
              strokeWidth={0.13}
            />
          )}
          <text
            x={(from + to) / 2}
            y={LINE_TUPLET_Y}
            className={NUMBER}
            fontSize={1.7}
            textAnchor="middle"
          >
            {played}
          </text>
        </g>
      ))}
      {number !== null && (
        <text x={0.2} y={-over + 1.3} className="fill-soft font-sans" fontSize={1.5}>
          {number}
        </text>
      )}
    </svg>
  );
}

const NUMBER = 'font-serif italic';
