'use client';

import { Download } from 'lucide-react';
import { useState } from 'react';
import type { Part } from '@/audio';
import { Button, Pop, PopRoot, PopTrigger, useSpeech } from '../base';
import { useWav } from './use-wav';

/** What is heard here as a sound file. */
export function WavPop({
  name,
  bars,
  partOf,
}: {
  name: string;
  /** How many it has, where that is known before it is made. */
  bars?: number;
  /** @returns null where it cannot be played, and that was said */
  partOf: () => Part | null;
}) {
  const { say } = useSpeech();
  const [apart, setApart] = useState(false);
  const { making, make, stop } = useWav();
  function download() {
    const part = partOf();
    if (part) void make(part, name, apart);
  }
  return (
    <PopRoot>
      <PopTrigger className="inline-flex items-center gap-1.5 rounded-sm px-2 py-1 hover:bg-faint">
        <Download size={14} aria-hidden /> {say.t('screen.common.wav')}
      </PopTrigger>
      <Pop className="flex w-72 flex-col gap-3 p-3">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={apart}
            onChange={(event) => setApart(event.target.checked)}
          />
          {say.t('screen.common.clickOnTheRightChannel')}
        </label>
        {making ? (
          <Button onClick={stop}>{say.t('screen.common.makingItStop')}</Button>
        ) : (
          <Button look="main" onClick={download}>
            {bars === undefined
              ? say.t('screen.common.download')
              : say.t('screen.common.downloadBars', { bars })}
          </Button>
        )}
      </Pop>
    </PopRoot>
  );
}
