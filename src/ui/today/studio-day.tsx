'use client';

import { useSyncExternalStore } from 'react';
import { dayOf, type Day } from '@/core/studio';
import { sayDate } from '@/words';
import { useSpeech } from '../base';

const never = () => () => {};

/** Practice days are counted where the studio is: said where this device has another date. */
export function StudioDay({ today }: { today: Day }) {
  const { say } = useSpeech();
  const here = useSyncExternalStore(
    never,
    () => dayOf(Date.now(), Intl.DateTimeFormat().resolvedOptions().timeZone),
    () => today,
  );
  if (here === today) return null;
  return (
    <p role="status" className="text-lg">
      {say.t('screen.today.atTheStudioItIsWhat', { date: sayDate(say, today) })}
    </p>
  );
}
