'use client';

import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import type { Outline } from '@/core/program';
import type { Program, ProgramId } from '@/core/studio';
import { attempt } from '../base';
import { historyReducer, startHistory, type HistoryAction } from '../base/history';

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
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [stored, setStored] = useState(first.outline);
  const [unreached, setUnreached] = useState(false);
  const [sending, setSending] = useState(false);
  const { draft } = history;
  const revision = useRef(first.revision);
  const asked = useRef(first.outline);
  const wanted = useRef<Outline | null>(null);
  const running = useRef(false);
  const { id } = first;

  const flush = useCallback(async () => {
    if (running.current) return;
    running.current = true;
    setSending(true);
    while (wanted.current) {
      const outline = wanted.current;
      wanted.current = null;
      setUnreached(false);
      const answer = await attempt(() => save(id, { revision: revision.current, outline }));
      if (!answer) {
        wanted.current ??= outline;
        setUnreached(true);
        break;
      }
      setIssues(answer.ok ? [] : answer.issues);
      if (!answer.ok) continue;
      revision.current = answer.value.revision;
      setStored(outline);
      setProgram(answer.value);
    }
    running.current = false;
    setSending(false);
  }, [id, save]);

  useEffect(() => {
    if (draft === asked.current) return;
    asked.current = draft;
    wanted.current = draft;
    void flush();
  }, [draft, flush]);

  function statusOf(): 'fresh' | 'refused' | 'saving' | 'saved' | 'unreached' {
    if (unreached) return 'unreached';
    if (sending) return 'saving';
    if (draft !== stored) return issues.length > 0 ? 'refused' : 'saving';
    return program.revision === first.revision ? 'fresh' : 'saved';
  }

  return {
    outline: draft,
    program,
    /** What a use case answered about who has it, or how far it is. */
    setProgram,
    issues,
    status: statusOf(),
    retry: () => void flush(),
    edit: (change: (outline: Outline) => Outline, about?: string) =>
      dispatch({ kind: 'edit', change, about }),
    /** Takes back whatever was changed last, also what is only just on its way. */
    back: () => dispatch({ kind: 'undo' }),
    undo: history.past.length > 0 ? () => dispatch({ kind: 'undo' }) : null,
    redo: history.future.length > 0 ? () => dispatch({ kind: 'redo' }) : null,
  };
}

export type ProgramDesk = ReturnType<typeof useProgram>;
