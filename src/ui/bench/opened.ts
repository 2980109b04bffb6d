'use client';

import { useEffect } from 'react';
import type { ExerciseId } from '@/core/studio';

/** Where the browser keeps which exercises were opened, the last one first. */
export const OPENED_KEY = 'mivvel-opened';

/** Most that are kept; those of several studios share them. */
const MOST_KEPT = 12;

/** What was kept, read back; nothing for what is no list of names.
 * @example readOpened('["a"]') // => ['a'] */
export function readOpened(kept: string | null): readonly string[] {
  try {
    const read: unknown = JSON.parse(kept ?? '[]');
    return Array.isArray(read) ? read.filter((one) => typeof one === 'string') : [];
  } catch {
    return [];
  }
}

/** The list once an exercise is opened. */
export function withOpened(opened: readonly string[], id: ExerciseId): readonly string[] {
  return [id, ...opened.filter((one) => one !== id)].slice(0, MOST_KEPT);
}

/** Keeps which exercise was opened last. @param id null while none is */
export function useOpened(id: ExerciseId | null): void {
  useEffect(() => {
    if (id === null) return;
    const opened = withOpened(readOpened(localStorage.getItem(OPENED_KEY)), id);
    localStorage.setItem(OPENED_KEY, JSON.stringify(opened));
  }, [id]);
}
