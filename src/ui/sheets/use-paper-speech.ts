'use client';

import { useMemo } from 'react';
import { sayOnPaperIn, type Say } from '@/words';
import { useSpeech } from '../base';

/** The words of sheets, which no first view loads. */
export function usePaperSpeech(): Say {
  const { say, speech } = useSpeech();
  return useMemo(() => sayOnPaperIn(say.locale, speech), [say.locale, speech]);
}
