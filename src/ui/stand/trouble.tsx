'use client';

import Link from 'next/link';
import { issueText, type Issue } from '@/core/issue';
import type { StandItem } from '@/core/studio';
import { Button, buttonLook } from '../base';
import { Band } from './bands';

/** An entry that is not in the log. One that the log will never take can be left behind. */
export function Unstored({
  issues,
  onRetry,
  onGiveUp,
}: {
  issues: readonly Issue[] | null;
  onRetry: () => void;
  onGiveUp: () => void;
}) {
  return (
    <div className="m-auto flex w-full max-w-4xl flex-col gap-4" role="alert">
      <p className="stand-words">
        {issues
          ? issues.map(issueText).join(' ')
          : 'Not stored yet: Mivvel cannot be reached. The try is kept here.'}
      </p>
      <Band main onPress={onRetry} className="stand-number h-48">
        Retry
      </Band>
      {issues && (
        <Band onPress={onGiveUp} className="stand-words h-24">
          go on without it
        </Band>
      )}
    </div>
  );
}

/** An exercise that an older or damaged file cannot play. */
export function Broken({
  item,
  alone,
  onSkip,
}: {
  item: StandItem;
  alone: boolean;
  onSkip: () => void;
}) {
  return (
    <main className="m-auto flex max-w-2xl flex-col gap-4 p-8">
      <h1 className="font-serif text-3xl">{item.item.name}</h1>
      <p className="text-xl">This exercise cannot be played as it stands. Tell your teacher.</p>
      {!alone && (
        <Button look="main" onClick={onSkip}>
          The next one
        </Button>
      )}
      <Link href="/today" className={buttonLook()}>
        Back to Today
      </Link>
    </main>
  );
}
