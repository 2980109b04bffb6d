'use client';

import type { ReactNode } from 'react';
import type { Speech } from '@/core/studio';
import { sayIn } from '@/words';
import { SpeechProvider } from '../base';

/** What a teacher’s screens say, which is more than a student’s need to load. */
export function TeacherWords({ speech, children }: { speech: Speech; children: ReactNode }) {
  return (
    <SpeechProvider speech={speech} sayIn={sayIn}>
      {children}
    </SpeechProvider>
  );
}
