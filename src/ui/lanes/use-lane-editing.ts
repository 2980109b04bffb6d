'use client';

import { useCallback, useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { columnsOfBar } from '@/core/analysis';
import { STICKING_LETTERS, type StickingLetter, type TextureId, type VoiceId } from '@/core/kit';
import { type Dynamic, type Ornament, type Stroke } from '@/core/pattern';
import type { Exercise, SeenEdit } from '@/core/recipe';
import { slotTicks, type SubdivisionId } from '@/core/time';
import { rowsOf, strokeKey, type Cell, type Editing, type RowKind } from '../marks';
import {
  clipOf,
  moveStrokes,
  paste,
  removeAll,
  setDynamic,
  setLimb,
  setOrnament,
  setTexture,
  strokesAt,
  strokesWithin,
  toggleCell,
  type Clip,
} from './lane-edits';

export const DYNAMIC_KEYS: Readonly<Record<string, Dynamic>> = {
  a: 'accent',
  g: 'ghost',
  n: 'normal',
};
export const ORNAMENT_KEYS: Readonly<Record<string, Ornament>> = {
  m: 'flam',
  d: 'drag',
  u: 'ruff',
  i: 'diddle',
  o: 'roll',
  z: 'buzz',
};

/** Rows to begin with where nothing sounds yet. */
const FIRST_ROWS: readonly VoiceId[] = ['hat', 'snare', 'bass'];

export interface LaneEditor {
  readonly editing: Editing;
  readonly grid: SubdivisionId;
  readonly setGrid: (grid: SubdivisionId) => void;
  readonly addRow: (voice: VoiceId) => void;
  /** The strokes that a command is about: the chosen ones, or those under the cursor. */
  readonly chosen: readonly Stroke[];
  readonly hasClip: boolean;
  readonly run: (command: LaneCommand) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

export type LaneCommand =
  | { readonly kind: 'dynamic'; readonly dynamic: Dynamic }
  | { readonly kind: 'ornament'; readonly ornament: Ornament }
  | { readonly kind: 'limb'; readonly letter: StickingLetter }
  | { readonly kind: 'texture'; readonly texture: TextureId | null }
  | { readonly kind: 'toggle' | 'remove' | 'copy' | 'paste' };

/** Writing on the lanes by mouse and keys. Every edit goes to `onEdit`; nothing else is changed. */
export function useLaneEditing(
  exercise: Exercise,
  kind: RowKind,
  onEdit: (edits: readonly SeenEdit[]) => void,
): LaneEditor {
  const [grid, setGrid] = useState<SubdivisionId>('16');
  const [extraRows, setExtraRows] = useState(exercise.strokes.length === 0 ? FIRST_ROWS : []);
  const [cursor, setCursor] = useState<Cell | null>(null);
  const [corner, setCorner] = useState<Cell | null>(null);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [clip, setClip] = useState<Clip | null>(null);
  const rows = useMemo(() => rowsOf(exercise, kind, extraRows), [exercise, kind, extraRows]);
  const slot = slotTicks(grid);
  const columns = useMemo(
    () =>
      Array.from({ length: exercise.bars }, (_, bar) =>
        columnsOfBar(exercise, bar, slot).map((at) => at + bar * exercise.barTicks),
      ).flat(),
    [exercise, slot],
  );
  const under = cursor ? strokesAt(exercise, cursor, kind) : [];
  const picks = exercise.strokes.filter((stroke) => picked.has(strokeKey(stroke)));
  const chosen = picks.length > 0 ? picks : under;

  /** Chosen strokes stay chosen where they go. */
  function edit(edits: readonly SeenEdit[], follow = picks.length > 0) {
    if (edits.length === 0) return;
    const next = edits.flatMap(({ to }) => (to ? [`${to.at} ${to.limb} ${to.voice}`] : []));
    setPicked(follow ? new Set(next) : new Set());
    onEdit(edits);
  }

  function goTo(cell: Cell, extend: boolean) {
    const from = extend ? (corner ?? cursor ?? cell) : cell;
    setCursor(cell);
    setCorner(extend ? from : null);
    setPicked(
      extend
        ? new Set(strokesWithin(exercise, rows, kind, from, cell).map(strokeKey))
        : new Set<string>(),
    );
  }

  function step(dx: number, dy: number, extend: boolean) {
    const [firstRow] = rows;
    if (!firstRow) return;
    if (!cursor) return goTo({ row: firstRow.key, at: columns[0] ?? 0 }, false);
    const column = Math.max(
      0,
      columns.findLastIndex((at) => at <= cursor.at),
    );
    const row = Math.max(
      0,
      rows.findIndex((one) => one.key === cursor.row),
    );
    const at = columns[Math.max(0, Math.min(columns.length - 1, column + dx))] ?? cursor.at;
    const to = rows[Math.max(0, Math.min(rows.length - 1, row + dy))] ?? firstRow;
    goTo({ row: to.key, at }, extend);
  }

  function carry(dx: number, dy: number) {
    if (!cursor || chosen.length === 0) return;
    const row = rows.findIndex((one) => one.key === cursor.row);
    const to = dy === 0 ? null : (rows[row + dy]?.key ?? null);
    if (dy !== 0 && to === null) return;
    edit(moveStrokes(exercise, chosen, dx * slot, to, kind), true);
    const at = cursor.at + dx * slot;
    setCursor({
      row: to ?? cursor.row,
      at: (at + exercise.cycleTicks) % exercise.cycleTicks,
    });
  }

  function run(command: LaneCommand) {
    switch (command.kind) {
      case 'toggle':
        if (cursor) edit(toggleCell(exercise, cursor, kind), false);
        return;
      case 'dynamic':
        return edit(
          chosen.length > 0
            ? setDynamic(chosen, command.dynamic)
            : cursor
              ? withDynamic(toggleCell(exercise, cursor, kind), command.dynamic)
              : [],
        );
      case 'ornament':
        return edit(setOrnament(chosen, command.ornament));
      case 'limb':
        return edit(setLimb(chosen, STICKING_LETTERS[command.letter]));
      case 'texture':
        return edit(setTexture(chosen, command.texture));
      case 'remove':
        return edit(removeAll(chosen), false);
      case 'copy':
        setClip(clipOf(chosen, kind));
        return;
      case 'paste':
        if (clip && cursor) edit(paste(exercise, clip, cursor, kind), true);
        return;
    }
  }

  function onKeyDown(event: KeyboardEvent) {
    const mod = event.ctrlKey || event.metaKey;
    const arrow = ARROWS[event.key];
    const command = commandOf(event.key, mod);
    if (arrow) {
      if (event.altKey) carry(...arrow);
      else step(...arrow, event.shiftKey);
    } else if (command && !event.altKey) run(command);
    else if (event.key === 'Escape') setPicked(new Set());
    else if (mod && event.key === 'a') setPicked(new Set(exercise.strokes.map(strokeKey)));
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  const onDrag: Editing['onDrag'] = (from, to, keys) => {
    const there = strokesAt(exercise, from, kind);
    const moved = from.at !== to.at || from.row !== to.row;
    if (moved && there.length > 0 && !keys.shift) {
      const group = there.some((one) => picked.has(strokeKey(one))) ? picks : there;
      const row = from.row === to.row ? null : to.row;
      setCursor(to);
      edit(moveStrokes(exercise, group, to.at - from.at, row, kind), true);
    } else if (moved || keys.shift) {
      if (!keys.shift) setCursor(from);
      const start = keys.shift ? (cursor ?? from) : from;
      setCorner(start);
      setCursor(to);
      setPicked(new Set(strokesWithin(exercise, rows, kind, start, to).map(strokeKey)));
    } else if (keys.mod) {
      const next = new Set(picked);
      for (const one of there.map(strokeKey)) if (!next.delete(one)) next.add(one);
      setCursor(to);
      setPicked(next);
    } else if (there.length > 0) {
      setCursor(to);
      setCorner(null);
      setPicked(new Set(there.map(strokeKey)));
    } else {
      setCursor(to);
      setCorner(null);
      setPicked(new Set());
      onEdit(toggleCell(exercise, to, kind));
    }
  };
  const latest = useRef(onDrag);
  useLayoutEffect(() => {
    latest.current = onDrag;
  });
  const drag = useCallback<Editing['onDrag']>((...press) => latest.current(...press), []);

  return {
    editing: { slot, extraRows, cursor, chosen: picked, onDrag: drag },
    grid,
    setGrid,
    addRow: (voice) => setExtraRows((now) => [...now.filter((one) => one !== voice), voice]),
    chosen,
    hasClip: clip !== null,
    run,
    onKeyDown,
  };
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function commandOf(key: string, mod: boolean): LaneCommand | null {
  if (mod) {
    if (key === 'c') return { kind: 'copy' };
    return key === 'v' ? { kind: 'paste' } : null;
  }
  if (key === 'Enter' || key === 'x') return { kind: 'toggle' };
  if (key === 'Delete' || key === 'Backspace') return { kind: 'remove' };
  const dynamic = DYNAMIC_KEYS[key];
  if (dynamic) return { kind: 'dynamic', dynamic };
  const ornament = ORNAMENT_KEYS[key];
  if (ornament) return { kind: 'ornament', ornament };
  const letter = key.toUpperCase();
  return letter in STICKING_LETTERS ? { kind: 'limb', letter: letter as StickingLetter } : null;
}

/** What is added on an empty cell comes with its dynamic. */
function withDynamic(edits: readonly SeenEdit[], dynamic: Dynamic): readonly SeenEdit[] {
  return edits.map((one) => (one.to ? { ...one, to: { ...one.to, dynamic } } : one));
}
