'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useRef, type KeyboardEvent } from 'react';
import type { VoiceId } from '@/core/kit';
import { DragGround, useSpeech } from '../base';
import { miniHeight } from '../marks';
import { PathRow, type RowShown } from './path-row';
import type { ChooseWay } from './selection';

/** What keys and the mouse do to a member. */
export type PathCommand =
  | { readonly kind: 'hear' | 'open' | 'drop' | 'compare' | 'first' | 'last' | 'stop' }
  | { readonly kind: 'move'; readonly by: number }
  | { readonly kind: 'put'; readonly onto: number };

const KEYS: Readonly<Record<string, PathCommand>> = {
  ' ': { kind: 'hear' },
  Enter: { kind: 'open' },
  d: { kind: 'drop' },
  Delete: { kind: 'drop' },
  c: { kind: 'compare' },
  f: { kind: 'first' },
  l: { kind: 'last' },
  s: { kind: 'stop' },
};

const PAGE = 8;

/** The family as a path. One row is chosen, or several (Shift, Ctrl); keys move through it and decide. Only
 * the rows in sight are drawn. */
export function PathList({
  count,
  order,
  rowOf,
  rows,
  hardest,
  lanesBars,
  active,
  chosen,
  compared,
  onChoose,
  onCommand,
}: {
  count: number;
  /** Members by index, in order. */
  order: readonly number[];
  rowOf: (place: number) => RowShown;
  rows: readonly VoiceId[];
  hardest: number;
  lanesBars: number;
  /** The row that keys start from. */
  active: number | null;
  /** All that are chosen. */
  chosen: readonly number[];
  compared: number | null;
  onChoose: (index: number, way: ChooseWay) => void;
  /** What is done to one row alone is done to the first of them. */
  onCommand: (rows: readonly number[], command: PathCommand) => void;
}) {
  const { say } = useSpeech();
  const scroller = useRef<HTMLDivElement>(null);
  const height = Math.max(58, miniHeight(rows.length) + 12);
  // What it returns changes with the scroll position: it must not be kept, and is not.
  // oxlint-disable-next-line react/incompatible-library
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: 6,
  });
  const place = active === null ? -1 : order.indexOf(active);

  useEffect(() => virtual.measure(), [virtual, height]);
  useEffect(() => {
    if (place >= 0) virtual.scrollToIndex(place);
  }, [virtual, place]);

  function onKeyDown(event: KeyboardEvent) {
    const steps: Readonly<Record<string, number>> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: PAGE,
      PageUp: -PAGE,
      Home: -count,
      End: count,
    };
    const step = steps[event.key];
    if (step !== undefined) {
      event.preventDefault();
      if (event.altKey && chosen.length > 0) return onCommand(chosen, { kind: 'move', by: step });
      const next = order[Math.max(0, Math.min(count - 1, Math.max(0, place) + step))];
      if (next === undefined) return;
      return onChoose(place < 0 ? (order[0] ?? next) : next, event.shiftKey ? 'through' : 'alone');
    }
    if (event.key === 'a' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      const [first, last] = [order[0], order.at(-1)];
      if (first === undefined || last === undefined) return;
      onChoose(first, 'alone');
      return onChoose(last, 'through');
    }
    const pressed = event.ctrlKey || event.metaKey || event.altKey ? undefined : KEYS[event.key];
    if (!pressed || active === null) return;
    event.preventDefault();
    event.stopPropagation();
    onCommand(chosen, pressed);
  }

  // Rows keep these two, so that one which shows the same is not drawn again.
  const command = useRef(onCommand);
  useEffect(() => {
    command.current = onCommand;
  });
  const choose = useRef(onChoose);
  useEffect(() => {
    choose.current = onChoose;
  });
  const take = useCallback((index: number, way: ChooseWay) => choose.current(index, way), []);
  const open = useCallback((index: number) => command.current([index], { kind: 'open' }), []);
  const drop = (dragged: string, onto: string) => {
    const index = Number(dragged);
    onCommand(chosen.includes(index) ? chosen : [index], { kind: 'put', onto: Number(onto) });
  };

  return (
    <DragGround onDrop={drop}>
      <div
        ref={scroller}
        role="listbox"
        aria-multiselectable
        tabIndex={0}
        aria-label={say.t('screen.variations.path')}
        aria-activedescendant={active === null ? undefined : `member-${active}`}
        aria-keyshortcuts="Space Enter D C F L S Control+A Shift+ArrowUp Shift+ArrowDown Alt+ArrowUp Alt+ArrowDown"
        className="min-h-0 flex-1 overflow-y-auto focus-visible:-outline-offset-2"
        onKeyDown={onKeyDown}
      >
        <div className="relative w-full" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rowOf(item.index);
            return (
              <PathRow
                key={row.index}
                row={row}
                rows={rows}
                hardest={hardest}
                lanesBars={lanesBars}
                chosen={chosen.includes(row.index)}
                active={row.index === active}
                compared={row.index === compared}
                top={item.start}
                height={item.size}
                onChoose={take}
                onOpen={open}
              />
            );
          })}
        </div>
      </div>
    </DragGround>
  );
}
