import type { CSSProperties } from 'react';
import { readableSize, USUAL_SEAT } from '@/core/sight';
import type { SetUp as Settings } from './kept';

/** How large what is read while playing has to be, where the student has said from how far. */
export function readingSize({ inches, metres }: Settings): CSSProperties | undefined {
  if (inches === USUAL_SEAT.inches && metres === USUAL_SEAT.metres) return undefined;
  const { width, height } = window.screen;
  const { size } = readableSize({ inches, metres }, { width, height });
  return { '--stand-read': `${Math.round(size)}px` } as CSSProperties;
}
