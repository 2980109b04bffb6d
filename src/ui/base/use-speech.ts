'use client';

import { createContext, useContext } from 'react';
import { PLAIN_SPEECH, type Speech } from '@/core/studio';
import type { Syllables } from '@/core/time';
import { sayToStudentsIn, type Say } from '@/words';

interface Spoken {
  readonly speech: Speech;
  /** What puts facts into words. */
  readonly say: Say;
  readonly syllables: Syllables;
}

export const SpeechContext = createContext<Spoken>(spokenOf(sayToStudentsIn('en-GB')));

export function spokenOf(say: Say, speech: Speech = PLAIN_SPEECH): Spoken {
  return { speech, say, syllables: say.syllables };
}

export function useSpeech(): Spoken {
  return useContext(SpeechContext);
}
