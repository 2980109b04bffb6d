import { memo } from 'react';
import type { Column } from './columns';
import type { Cell, Editing } from './editing';
import { HEAD, ROW, type Row } from './rows';

/** A place to press for every row and column. There are many, so they are drawn anew only when rows
 * or columns change. */
export const Cells = memo(function Cells({
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

export function Cursor({
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
