import { memo } from 'react';
import type { Instant } from '@/core/analysis';
import type { Limb } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import { placeX, type BarBox, type Column } from './columns';
import { strokeKey } from './editing';
import { Mark } from './mark';
import { HEAD, ROW, rowKey, type Row, type RowKind } from './rows';

/** One bar as it is drawn. */
export interface BarShown {
  readonly box: BarBox;
  readonly instants: readonly Instant[];
  readonly columns: readonly Column[];
  /** Ticks from the cycle's start. */
  readonly start: number;
  readonly chosen: ReadonlySet<string>;
}

export const BarView = memo(function BarView({
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
            {column.sign}
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
