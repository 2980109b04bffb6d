'use client';

import { useEffect, useReducer, useRef, useState, useSyncExternalStore } from 'react';
import type { Result } from '@/core/issue';
import type { Outline } from '@/core/program';
import type { Program, ProgramId } from '@/core/studio';
import { historyReducer, startHistory, type HistoryAction } from '../base/history';
import { Saver } from './saver';

export type SaveOutline = (
  id: ProgramId,
  change: { readonly revision: number; readonly outline: Outline },
) => Promise<Result<Program>>;

const reducer = (
  history: ReturnType<typeof startHistory<Outline>>,
  action: HistoryAction<Outline>,
) => historyReducer(history, action, (one) => one);

/** A program that is edited: every change is shown at once and stored right after, one save at a
 * time. What cannot be stored stays on screen with its reason. */
export function useProgram(first: Program, save: SaveOutline) {
  const [history, dispatch] = useReducer(reducer, null, () =>
    startHistory<Outline>({ draft: first.outline, saved: first.outline }),
  );
  const [program, setProgram] = useState(first);
  const { draft } = history;
  const [saver] = useState(
    () =>
      new Saver<Outline, Program>(
        first.outline,
        first.revision,
        (outline, revision) => save(first.id, { revision, outline }),
        setProgram,
      ),
  );
  const { status, issues } = useSyncExternalStore(saver.subscribe, saver.snapshot, saver.snapshot);
  const asked = useRef(first.outline);

  useEffect(() => {
    if (draft === asked.current) return;
    asked.current = draft;
    saver.change(draft);
  }, [draft, saver]);

  useEffect(() => {
    window.addEventListener('online', saver.retry);
    return () => window.removeEventListener('online', saver.retry);
  }, [saver]);

  return {
    outline: draft,
    program,
    /** What a use case answered about who has it, or how far it is. */
    setProgram,
    issues,
    status,
    retry: saver.retry,
    edit: (change: (outline: Outline) => Outline, about?: string) =>
      dispatch({ kind: 'edit', change, about }),
    /** Takes back whatever was changed last, also what is only just on its way. */
    back: () => dispatch({ kind: 'undo' }),
    undo: history.past.length > 0 ? () => dispatch({ kind: 'undo' }) : null,
    redo: history.future.length > 0 ? () => dispatch({ kind: 'redo' }) : null,
  };
}

export type ProgramDesk = ReturnType<typeof useProgram>;
