'use client';

import { useCallback, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { VoiceId } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Exercise, SeenEdit } from '@/core/recipe';
import { slotTicks, type SubdivisionId } from '@/core/time';
import type { Editing, RowKind } from '../marks';
import { aboutOf, laneAfter, laneStart, type LaneAction, type LaneCommand } from './lane-editor';
import { actionOf } from './lane-keys';

export interface LaneEditor {
  readonly editing: Editing;
  readonly grid: SubdivisionId;
  readonly setGrid: (grid: SubdivisionId) => void;
  readonly addRow: (voice: VoiceId) => void;
  /** A row for every voice of the kit. */
  readonly showAllRows: () => void;
  /** The strokes that a command is about: the chosen ones, or those under the cursor. */
  readonly chosen: readonly Stroke[];
  readonly hasClip: boolean;
  /** What the stroke that was just written took the place of. */
  readonly instead: VoiceId | null;
  readonly run: (command: LaneCommand) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

/** Writing on the lanes by mouse and keys. Every edit goes to `onEdit`; nothing else is changed. */
export function useLaneEditing(
  exercise: Exercise,
  kind: RowKind,
  onEdit: (edits: readonly SeenEdit[]) => void,
): LaneEditor {
  const [state, setState] = useState(() => laneStart(exercise));
  const scene = { exercise, kind };

  function act(action: LaneAction) {
    const { state: next, edits } = laneAfter(state, scene, action);
    setState(next);
    if (edits.length > 0) onEdit(edits);
  }

  function onKeyDown(event: KeyboardEvent) {
    const { key, altKey: alt, shiftKey: shift } = event;
    const action = actionOf({ key, mod: event.ctrlKey || event.metaKey, alt, shift });
    if (!action) return;
    act(action);
    event.preventDefault();
    event.stopPropagation();
  }

  const onDrag: Editing['onDrag'] = (from, to, keys) => act({ kind: 'drag', from, to, ...keys });
  const latest = useRef(onDrag);
  useLayoutEffect(() => {
    latest.current = onDrag;
  });
  const drag = useCallback<Editing['onDrag']>((...press) => latest.current(...press), []);

  const { grid, extraRows, cursor, picked, clip, instead } = state;
  return {
    editing: { slot: slotTicks(grid), extraRows, cursor, chosen: picked, onDrag: drag },
    grid,
    setGrid: (next) => act({ kind: 'grid', grid: next }),
    addRow: (voice) => act({ kind: 'row', voice }),
    showAllRows: () => act({ kind: 'all-rows' }),
    chosen: aboutOf(state, scene),
    hasClip: clip !== null,
    instead,
    run: act,
    onKeyDown,
  };
}
