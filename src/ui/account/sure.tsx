'use client';

import { useState, type ReactNode } from 'react';
import { Button, useSpeech } from '../base';

/** A button for what has no way back: it says what it costs first. */
export function Sure({
  costs,
  act,
  children,
}: {
  costs: string;
  act: () => Promise<unknown>;
  children: ReactNode;
}) {
  const { say } = useSpeech();
  const [asks, setAsks] = useState(false);
  if (!asks) return <Button onClick={() => setAsks(true)}>{children}</Button>;
  return (
    <span role="group" className="flex flex-wrap items-center gap-2">
      <span className="text-soft">{costs}</span>
      <Button
        autoFocus
        onClick={() => {
          setAsks(false);
          void act();
        }}
      >
        {children}
      </Button>
      <Button look="quiet" onClick={() => setAsks(false)}>
        {say.t('screen.account.notNow')}
      </Button>
    </span>
  );
}
