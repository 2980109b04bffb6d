import { memo } from 'react';
import { bowPath, bracketPath, bracketText } from '@/core/notation';
import type { GLYPHS, RowText, StaffBar, StaffBracket } from '@/core/notation';

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
      {bows.map((bow) => (
        <path key={bow.from} d={bowPath(bow)} />
      ))}
      {brackets.map((one) => (
        <Bracket key={`${one.from} ${one.y}`} bracket={one} />
      ))}
      {number !== null && (
        <text x={numberAt[0]} y={numberAt[1]} className="fill-soft font-sans" fontSize={1.15}>
          {number}
        </text>
      )}
      {texts.map(({ x, y, text, size, strong }, index) => (
        <text
          key={index}
          x={x}
          y={y}
          textAnchor="middle"
          fontSize={size}
          fontWeight={strong ? 600 : 400}
          className={strong ? 'font-sans' : 'fill-soft font-sans'}
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

function Bracket({ bracket }: { bracket: StaffBracket }) {
  const path = bracketPath(bracket);
  const { text, x, y, size, middle } = bracketText(bracket);
  return (
    <g>
      {path !== null && <path d={path} fill="none" className="stroke-ink" strokeWidth={0.12} />}
      <text
        x={x}
        y={y}
        textAnchor={middle ? 'middle' : 'start'}
        className={middle ? 'font-serif italic' : 'font-serif'}
        fontSize={size}
      >
        {text}
      </text>
    </g>
  );
}
