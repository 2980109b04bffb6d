'use client';

import { useState } from 'react';
import type { Result } from '@/core/issue';
import { attemptOrSay } from './attempt';

/** Settings that are shown at once and kept by the server after: a change never waits for the one
 * before it, and none is lost. What could not be kept is taken back, and said.
 * @param stored as the server has it  @param keep sends the whole */
export function useKept<T extends object>(
  stored: T,
  keep: (next: T) => Promise<Result<null>>,
): readonly [T, (change: Partial<T>) => void] {
  const [seen, setSeen] = useState(stored);
  const [shown, setShown] = useState(stored);
  const [onTheWay, setOnTheWay] = useState(0);
  if (stored !== seen && onTheWay === 0) {
    setSeen(stored);
    setShown(stored);
  }
  function set(change: Partial<T>) {
    const next = { ...shown, ...change };
    setShown(next);
    setOnTheWay((count) => count + 1);
    void attemptOrSay(() => keep(next)).then((kept) => {
      setOnTheWay((count) => count - 1);
      if (!kept) setShown(stored);
    });
  }
  return [shown, set];
}
