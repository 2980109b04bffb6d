'use client';

import { useEffect, useState } from 'react';
import { BREAK_SECONDS } from '@/core/plan';
import { useSpeech } from '../base';
import { Again, Band } from './bands';

/** A break: how long it still is, and what it is for. It ends when the student says so. */
export function Break({
  onOver,
  again,
  onAgain,
}: {
  onOver: () => void;
  /** What was played last. */
  again: string | undefined;
  onAgain: () => void;
}) {
  const { say } = useSpeech();
  const [left, setLeft] = useState(BREAK_SECONDS);
  useEffect(() => {
    const timer = setInterval(() => setLeft((now) => Math.max(0, now - 1)), 1000);
    return () => clearInterval(timer);
  }, []);
  const clock = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  return (
    <>
      <h2 className="stand-words">{say.t('screen.stand.breakSticksDownStandUpDrink')}</h2>
      <p
        className="stand-number m-auto"
        role="timer"
        aria-label={say.t('screen.stand.secondsLeft', { left })}
      >
        {clock}
      </p>
      <p className="text-2xl">
        {say.t('plan.safety.pain')} {say.t('plan.safety.hearing')}
      </p>
      {again !== undefined && <Again name={again} onPress={onAgain} />}
      <Band main onPress={onOver} className="stand-number h-40 shrink-0">
        {say.t('screen.stand.goOnCapital')}
      </Band>
    </>
  );
}
