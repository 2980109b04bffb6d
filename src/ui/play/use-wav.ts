'use client';

import { useEffect, useRef, useState } from 'react';
import type { Part } from '@/audio';
import { saveFile, toast, useSpeech } from '../base';

/** Makes a WAV file and hands it to the browser; what is being made can be stopped, and is then thrown away. */
export function useWav(): {
  readonly making: boolean;
  readonly make: (part: Part, name: string, clickApart: boolean) => Promise<void>;
  readonly stop: () => void;
} {
  const { say } = useSpeech();
  const [making, setMaking] = useState(false);
  const asked = useRef(0);
  useEffect(() => () => void (asked.current += 1), []);
  return {
    making,
    async make(part, name, clickApart) {
      const mine = (asked.current += 1);
      setMaking(true);
      try {
        const { renderWav } = await import('@/audio');
        const file = await renderWav([part], clickApart);
        if (mine === asked.current) saveFile(file, `${name}.wav`);
      } catch {
        if (mine === asked.current) toast.error(say.t('screen.common.wavCouldNotBeMade'));
      }
      if (mine === asked.current) setMaking(false);
    },
    stop() {
      asked.current += 1;
      setMaking(false);
    },
  };
}
