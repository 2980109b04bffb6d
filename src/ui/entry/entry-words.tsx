'use client';

import type { ReactNode } from 'react';
import { PLAIN_SPEECH } from '@/core/studio';
import { sayAtTheDoorIn } from '@/words';
import { SpeechProvider } from '../base';

/** What is said before somebody is in. */
export function EntryWords({ children }: { children: ReactNode }) {
  return (
    <SpeechProvider speech={PLAIN_SPEECH} sayIn={sayAtTheDoorIn}>
      {children}
    </SpeechProvider>
  );
}
