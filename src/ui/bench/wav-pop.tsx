'use client';

import { Download } from 'lucide-react';
import { useState } from 'react';
import type { Exercise } from '@/core/recipe';
import { Button, Pop, PopRoot, PopTrigger, useSpeech } from '../base';
import { useWav } from '../play';

/** The exercise as a sound file, as it is played here. */
export function WavPop({
  exercise,
  name,
  loops,
  partOf,
}: {
  exercise: Exercise;
  name: string;
  /** Else it is played once. */
  loops: boolean;
  partOf: (bars: number) => Parameters<ReturnType<typeof useWav>['make']>[0];
}) {
  const { say } = useSpeech();
  const [apart, setApart] = useState(false);
  const { making, make, stop } = useWav();
  const bars = loops ? exercise.bars * Math.ceil(LEAST_BARS / exercise.bars) : exercise.bars;
  return (
    <PopRoot>
      <PopTrigger className="inline-flex items-center gap-1.5 rounded-sm px-2 py-1 hover:bg-faint">
        <Download size={14} aria-hidden /> {say.t('screen.bench.wav')}
      </PopTrigger>
      <Pop className="flex w-72 flex-col gap-3 p-3">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={apart}
            onChange={(event) => setApart(event.target.checked)}
          />
          {say.t('screen.bench.clickOnTheRightChannel')}
        </label>
        {making ? (
          <Button onClick={stop}>{say.t('screen.bench.makingItStop')}</Button>
        ) : (
          <Button look="main" onClick={() => void make(partOf(bars), name, apart)}>
            {say.t('screen.bench.downloadBars', { bars })}
          </Button>
        )}
      </Pop>
    </PopRoot>
  );
}

/** What goes round is written out to so many bars at least. */
const LEAST_BARS = 8;
