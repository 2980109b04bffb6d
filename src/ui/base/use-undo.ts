'use client';

import { useCallback } from 'react';
import { useSpeech } from './use-speech';
import { toast } from './toast';

/** Says what was done, with a way back beside it.
 * @returns takes what was done, in words, and what takes it back */
export function useUndo(): (done: string, undo: () => unknown) => void {
  const { say } = useSpeech();
  return useCallback(
    (done, undo) => {
      toast.message(done, {
        action: { label: say.t('screen.common.undoCapital'), onClick: () => void undo() },
      });
    },
    [say],
  );
}
