import { memo } from 'react';
import { BEAT_SIZE, BETWEEN_SIZE } from '@/core/notation';
import type { GLYPHS, StaffBar, StaffBracket } from '@/core/notation';

/** A text of a row over or under the notes. */
export interface RowText {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly isBeat: boolean;
}

/** A bar of a staff as it is drawn; lengths in staff spaces. */
export interface StaffBarShown {
  readonly drawn: StaffBar;
  readonly texts: readonly RowText[];
  readonly number: number | null;
  readonly numberAt: readonly [x: number, y: number];
}

export const StaffBarView = memo(function StaffBarView({
  view: { drawn, texts, number, numberAt },
}: {
  view: StaffBarShown;
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
          fontSize={isBeat ? BEAT_SIZE : BETWEEN_SIZE}
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
