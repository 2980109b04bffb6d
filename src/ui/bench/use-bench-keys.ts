'use client';

import { useHotkeys } from 'react-hotkeys-hook';

const ANYWHERE = { enableOnFormTags: true, preventDefault: true } as const;

/** The keys of the Bench. Letters are for what has no focus of its own. */
export function useBenchKeys({
  onSave,
  onUndo,
  onRedo,
  onHalf,
  onSwap,
  onPlay,
}: {
  onSave: () => void;
  onUndo: () => void;
  onRedo: () => void;
  onHalf: () => void;
  onSwap: () => void;
  onPlay: () => void;
}): void {
  useHotkeys('mod+s', onSave, ANYWHERE);
  useHotkeys('mod+z', onUndo, ANYWHERE);
  useHotkeys('mod+shift+z, mod+y', onRedo, ANYWHERE);
  useHotkeys('h', onHalf, { ignoreEventWhen: onControl });
  useHotkeys('b', onSwap, { ignoreEventWhen: onControl });
  useHotkeys('space', onPlay, { preventDefault: true, ignoreEventWhen: onControl });
  useHotkeys('t', () => document.querySelector<HTMLElement>('[data-tap]')?.click(), {
    ignoreEventWhen: (event) => onControl(event) && !isTap(event),
  });
}

/** A key that a focused control takes for itself. */
function onControl(event: KeyboardEvent): boolean {
  return (
    event.target instanceof Element && event.target.closest('button, a, [role=dialog]') !== null
  );
}

function isTap(event: KeyboardEvent): boolean {
  return event.target instanceof Element && event.target.closest('[data-tap]') !== null;
}
