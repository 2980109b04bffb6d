'use client';

import { useState } from 'react';

/** A value that stays the same object while its key does, so that what is drawn from it is not
 * drawn anew. */
export function useSame<T>(value: T, key: string): T {
  const [kept, setKept] = useState({ key, value });
  if (kept.key === key) return kept.value;
  setKept({ key, value });
  return value;
}
