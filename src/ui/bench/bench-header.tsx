'use client';

import { Archive, FilePlus2, Link2, ListOrdered, Redo2, Save, Shapes, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { suggestName } from '@/core/recipe';
import type { ProgramSummary } from '@/core/studio';
import { Button, buttonLook, ProgramChoice } from '../base';
import { isSaved, type DraftHistory } from './draft';
import type { Desk } from './use-desk';

/** The exercise's name, how it stands, and what can be done with it as a whole. */
export function BenchHeader({
  history,
  nothing,
  programs,
  desk,
  onName,
  onSettle,
  onUndo,
  onRedo,
}: {
  history: DraftHistory;
  /** Nothing plays yet. */
  nothing: boolean;
  programs: readonly ProgramSummary[];
  desk: Desk;
  onName: (name: string) => void;
  onSettle: () => void;
  onUndo: () => void;
  onRedo: () => void;
}) {
  const { draft } = history;
  return (
    <header className="flex flex-wrap items-center gap-x-2 gap-y-1 px-4 pt-3 pb-1">
      <input
        aria-label="Exercise name"
        className="title-field min-w-0 flex-1 font-serif text-xl"
        placeholder={nothing ? 'New exercise' : suggestName(draft.recipe)}
        maxLength={80}
        value={draft.name}
        onChange={(event) => onName(event.target.value)}
        onBlur={onSettle}
      />
      <span className="text-sm text-soft" role="status">
        {desk.saving ? 'Saving…' : isSaved(history) ? 'Saved' : nothing ? '' : 'Not saved'}
      </span>
      {history.past.length > 0 && (
        <Button look="quiet" onClick={onUndo} title="Undo (Ctrl Z)">
          <Undo2 size={16} aria-hidden /> undo
        </Button>
      )}
      {history.future.length > 0 && (
        <Button look="quiet" onClick={onRedo} title="Redo (Ctrl Shift Z)">
          <Redo2 size={16} aria-hidden /> redo
        </Button>
      )}
      <Button look="quiet" onClick={desk.startNew}>
        <FilePlus2 size={16} aria-hidden /> new
      </Button>
      {draft.id !== null && (
        <Button look="quiet" onClick={() => draft.id && void desk.archive(draft.id)}>
          <Archive size={16} aria-hidden /> archive
        </Button>
      )}
      <Button look="quiet" onClick={() => void desk.copyLink()}>
        <Link2 size={16} aria-hidden /> link
      </Button>
      {!nothing && (
        <Link className={buttonLook('quiet')} href={desk.varyLink()}>
          <Shapes size={16} aria-hidden /> vary
        </Link>
      )}
      {!nothing && (
        <Link className={buttonLook('quiet')} href={desk.stepsLink()}>
          <ListOrdered size={16} aria-hidden /> steps
        </Link>
      )}
      <ProgramChoice
        label="Program to add it to, or a new name"
        programs={programs}
        onChoose={(to, name) => void desk.addToProgram(to, name)}
      >
        to program…
      </ProgramChoice>
      <Button look="main" onClick={() => void desk.save()} aria-keyshortcuts="Control+S">
        <Save size={15} aria-hidden /> Save
      </Button>
    </header>
  );
}
