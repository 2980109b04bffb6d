'use client';

import { Fragment } from 'react';
import { countStrings } from '@/core/analysis';
import { sayLimb } from '@/words';
import { useSpeech } from '../base';
import type { Written } from './kept';
import type { Playback } from '../play';
import { Pattern } from './pattern';
import type { SlotPlan } from './plan-slot';

/** The pattern; what is sung and counted is shown as it is said. */
export function Shown({
  plan: { exercise, rung },
  written,
  at = null,
  subscribe,
}: {
  plan: SlotPlan;
  written: Written;
  /** What sounds, in ticks of the cycle; null while nothing does. */
  at?: number | null;
  subscribe?: Playback['subscribe'];
}) {
  const { say, syllables } = useSpeech();
  if (rung.stage?.kind !== 'manner' || rung.stage.manner !== 'voice') {
    return <Pattern {...{ exercise, written, at, subscribe }} />;
  }
  return (
    <dl className="m-auto grid min-h-0 w-full grid-cols-[auto_minmax(0,1fr)] items-baseline gap-x-6 overflow-y-auto">
      {countStrings(exercise, syllables).map(({ limb, bars }) => (
        <Fragment key={limb}>
          <dt className="text-2xl text-soft">{sayLimb(say, limb)}</dt>
          <dd className="stand-words">{bars.join(' | ')}</dd>
        </Fragment>
      ))}
    </dl>
  );
}
