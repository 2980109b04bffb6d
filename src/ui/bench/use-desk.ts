'use client';

import { useRouter } from 'next/navigation';
import { useState, type Dispatch } from 'react';
import type { Issue, Result } from '@/core/issue';
import { blankRecipe, type ClosedRecipe, type Exercise } from '@/core/recipe';
import type { ExerciseId, ProgramId, SavedExercise } from '@/core/studio';
import type { Bpm } from '@/core/time';
import { suggestName } from '@/words';
import {
  attempt,
  attemptOrSay,
  type ProgramTarget,
  toast,
  toastIssues,
  useSpeech,
  useUndo,
} from '../base';
import type { Shelf } from '../library';
import { onBench, packing } from '../shell/recipe-link';
import { isSaved, type DraftAction, type DraftHistory } from './draft';

export interface BenchActions {
  readonly save: (input: {
    id: ExerciseId | null;
    name: string;
    recipe: ClosedRecipe;
  }) => Promise<Result<SavedExercise>>;
  readonly archive: (id: ExerciseId, archived: boolean) => Promise<Result<null>>;
  readonly open: (id: string) => Promise<Result<SavedExercise>>;
  readonly twins: (shape: string) => Promise<Result<readonly SavedExercise[]>>;
  readonly saveRules: Shelf['saveRules'];
  readonly addToProgram: (
    program: ProgramTarget,
    exerciseId: ExerciseId,
  ) => Promise<Result<ProgramId>>;
}

/** What can be done with the exercise as a whole. */
export interface Desk {
  readonly saving: boolean;
  /** Why the last saving was refused. */
  readonly refused: readonly Issue[];
  readonly save: () => Promise<ExerciseId | null>;
  readonly addToProgram: (to: ProgramTarget, name: string) => Promise<void>;
  readonly startNew: () => void;
  readonly archive: (id: ExerciseId) => Promise<void>;
  readonly copyLink: () => Promise<void>;
}

/** Save, hand to a program, archive, link and begin anew; each says what came of it. */
export function useDesk({
  history,
  expanded,
  actions,
  tempo,
  dispatch,
  onNew,
}: {
  history: DraftHistory;
  expanded: Result<Exercise>;
  actions: BenchActions;
  tempo: Bpm;
  dispatch: Dispatch<DraftAction>;
  onNew: () => void;
}): Desk {
  const { say } = useSpeech();
  const undoable = useUndo();
  const [saving, setSaving] = useState(false);
  const [refused, setRefused] = useState<readonly Issue[]>([]);
  const router = useRouter();
  const { draft } = history;
  const { recipe } = draft;

  async function save(): Promise<ExerciseId | null> {
    if (!expanded.ok) {
      toastIssues(expanded.issues);
      return null;
    }
    setSaving(true);
    setRefused([]);
    const name = draft.name.trim() || suggestName(say, recipe);
    const answer = await attempt(() => actions.save({ id: draft.id, name, recipe }));
    setSaving(false);
    if (answer === null) {
      toast.error(say.t('screen.common.notSavedNoConnectionYourWork'));
      return null;
    }
    if (!answer.ok) {
      setRefused(answer.issues);
      toastIssues(answer.issues);
      return null;
    }
    const { id } = answer.value;
    if (draft.name !== name) dispatch({ kind: 'edit', change: { name }, about: 'name' });
    dispatch({ kind: 'saved', draft: { ...draft, id, name } });
    toast.success(say.t('screen.common.savedAs', { name }));
    return id;
  }

  async function addToProgram(to: ProgramTarget, name: string) {
    const id = isSaved(history) ? draft.id : await save();
    if (id === null) return;
    const answer = await attempt(() => actions.addToProgram(to, id));
    if (answer?.ok) {
      toast.success(say.t('screen.bench.addedTo', { name }), {
        action: {
          label: say.t('screen.common.openIt'),
          onClick: () => router.push(`/programs/${answer.value}`),
        },
      });
    } else if (answer) {
      toastIssues(answer.issues);
    } else {
      toast.error(say.t('screen.bench.notAddedNoConnectionChooseIt'));
    }
  }

  function startNew() {
    const next = { id: null, sheet: draft.sheet + 1, name: '', recipe: blankRecipe() };
    dispatch({ kind: 'edit', change: next });
    onNew();
  }

  async function archive(id: ExerciseId) {
    const name = draft.name;
    const done = await attemptOrSay(() => actions.archive(id, true));
    if (!done) return;
    startNew();
    undoable(say.t('screen.bench.archivedProgramsThatUseItKeep', { name }), async () => {
      const back = await attemptOrSay(() => actions.archive(id, false));
      if (back) router.push(`/bench?x=${id}`);
    });
  }

  async function copyLink() {
    const { writeLink } = await packing();
    const link = `${onBench(writeLink(recipe))}&t=${tempo}`;
    const address = new URL(link, window.location.href);
    const copied = await attempt(async () => {
      await navigator.clipboard.writeText(address.href);
      return true;
    });
    if (copied) toast.success(say.t('screen.bench.linkCopied'));
    else toast.message(say.t('screen.bench.copyTheAddressOfThisPage'));
  }

  return { saving, refused, save, addToProgram, startNew, archive, copyLink };
}
