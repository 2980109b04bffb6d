'use client';

import { X } from 'lucide-react';
import { Button, useSpeech } from '../base';

/** Which of two is here, and the recipe of the other. */
export interface Ab<Recipe> {
  readonly here: 'A' | 'B';
  readonly other: Recipe;
}

/** Keeps what is here as A, and goes on with a copy as B; then goes from one to the other. */
export function swapped<Recipe>(ab: Ab<Recipe> | null, now: Recipe): Ab<Recipe> {
  if (!ab) return { here: 'B', other: now };
  return { here: ab.here === 'A' ? 'B' : 'A', other: now };
}

/** Two exercises against each other: one touch, also while it plays. */
export function AbSwitch({
  here,
  onSwap,
  onDrop,
}: {
  /** Null before one was kept. */
  here: 'A' | 'B' | null;
  onSwap: () => void;
  onDrop: () => void;
}) {
  const { say } = useSpeech();
  if (here === null) {
    return (
      <Button look="quiet" title={say.t('screen.bench.keepAsAKey')} onClick={onSwap}>
        {say.t('screen.bench.aAgainstB')}
      </Button>
    );
  }
  return (
    <span className="flex items-center gap-1">
      <Button
        aria-keyshortcuts="b"
        title={say.t('screen.bench.swapKey')}
        aria-label={say.t('screen.bench.hereIs', { here })}
        onClick={onSwap}
      >
        <b className={here === 'A' ? '' : 'font-normal opacity-50'}>A</b>
        <b className={here === 'B' ? '' : 'font-normal opacity-50'}>B</b>
      </Button>
      <button type="button" aria-label={say.t('screen.bench.dropTheOther')} onClick={onDrop}>
        <X size={14} aria-hidden />
      </button>
    </span>
  );
}
