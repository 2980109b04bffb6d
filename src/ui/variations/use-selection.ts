'use client';

import { useState } from 'react';
import { chooseRow, type ChooseWay, type Selection } from './selection';

/** Which rows of a list are chosen; the first one where none is, or none that is chosen is there still. */
export function useSelection(order: readonly number[]): {
  /** The row that keys start from. */
  readonly active: number | null;
  readonly rows: readonly number[];
  readonly choose: (row: number, way?: ChooseWay) => void;
} {
  const [selection, setSelection] = useState<Selection | null>(null);
  const rows = selection?.rows.filter((row) => order.includes(row)) ?? [];
  const there = selection !== null && rows.includes(selection.active);
  const active = there ? selection.active : (rows[0] ?? order[0] ?? null);
  return {
    active,
    rows: rows.length > 0 ? rows : active === null ? [] : [active],
    choose: (row, way = 'alone') =>
      setSelection((before) => {
        const from = before ?? (active === null ? null : chooseRow(null, order, active, 'alone'));
        return chooseRow(from, order, row, way);
      }),
  };
}
