'use client';

import { useCallback, useMemo, useSyncExternalStore } from 'react';
import type { Shows, StaffRows } from '../marks';

/** What the Bench shows of an exercise; kept by the browser. */
export interface Sheet extends Required<StaffRows> {
  readonly lanes: boolean;
  readonly staff: boolean;
  readonly legend: boolean;
}

export const USUAL_SHEET: Sheet = {
  lanes: true,
  staff: true,
  count: true,
  sticking: false,
  repeats: false,
  legend: false,
};

const KEPT = 'mivvel sheet';

/** @returns the sheet that was kept; what cannot be known any more is as usual */
export function readSheet(text: string | null): Sheet {
  let kept: Partial<Record<keyof Sheet, unknown>> = {};
  try {
    kept = (JSON.parse(text ?? '{}') ?? {}) as typeof kept;
  } catch {
    // What is no JSON was not kept by us.
  }
  const of = (key: keyof Sheet) => (typeof kept[key] === 'boolean' ? kept[key] : USUAL_SHEET[key]);
  const sheet: Sheet = {
    lanes: of('lanes'),
    staff: of('staff'),
    count: of('count'),
    sticking: of('sticking'),
    repeats: of('repeats'),
    legend: of('legend'),
  };
  return sheet.lanes || sheet.staff ? sheet : { ...sheet, lanes: true };
}

/** The sheet after one of its parts was turned on or off. Lanes and staff are never both gone: without the one
 * the other comes. */
export function turned(sheet: Sheet, part: keyof Sheet): Sheet {
  const next = { ...sheet, [part]: !sheet[part] };
  if (next.lanes || next.staff) return next;
  return part === 'lanes' ? { ...next, staff: true } : { ...next, lanes: true };
}

/** How an exercise is written on this sheet. */
export function showsOf({ lanes, staff }: Sheet): Shows {
  return lanes && staff ? 'both' : lanes ? 'lanes' : 'staff';
}

/** What stands around the notes; under lanes they have the count already, and every bar its columns. */
export function staffRowsOf({ lanes, count, sticking, repeats }: Sheet): StaffRows {
  return { count: count && !lanes, sticking, repeats: repeats && !lanes };
}

const listeners = new Set<() => void>();

/** Where a browser keeps nothing, it is kept as long as the page. */
let onPage: string | null = null;

function snapshot(): string | null {
  try {
    return localStorage.getItem(KEPT) ?? onPage;
  } catch {
    return onPage;
  }
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** The sheet of this device, and how a part of it is turned on or off. */
export function useSheet(): readonly [Sheet, (part: keyof Sheet) => void] {
  const text = useSyncExternalStore(subscribe, snapshot, () => null);
  const turn = useCallback((part: keyof Sheet) => {
    onPage = JSON.stringify(turned(readSheet(snapshot()), part));
    try {
      localStorage.setItem(KEPT, onPage);
    } catch {
      // It stays with the page.
    }
    for (const tell of listeners) tell();
  }, []);
  return [useMemo(() => readSheet(text), [text]), turn];
}
