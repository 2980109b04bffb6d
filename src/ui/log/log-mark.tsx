'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Button, IssueWords, useSpeech } from '../base';
import { useQueue, useSender } from './use-log';

/** Whether all that was played is stored: nothing while it is, a quiet word while something waits, and
 * what to do about an entry that the log will never take. */
export function LogMark() {
  const { say } = useSpeech();
  const { waiting, stuck } = useQueue();
  const sender = useSender();
  if (waiting.length === 0) return null;
  if (!stuck) return <Waits count={waiting.length} />;
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 border-l-3 border-warm pl-2">
      <span>
        {say.t.rich('screen.common.notSavedBecause', {
          why: () => <IssueWords issues={stuck.issues} />,
          behind: waiting.length - 1,
        })}
      </span>
      <Button onClick={() => sender.retry()}>{say.t('screen.common.tryAgainCapital')}</Button>
      <Button look="quiet" onClick={() => sender.leaveOut()}>
        {say.t('screen.common.leaveItOut')}
      </Button>
    </div>
  );
}

/** Storing usually takes no time: what takes longer is said. */
const SAID_AFTER_MS = 1000;

function Waits({ count }: { count: number }) {
  const { say } = useSpeech();
  const [late, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), SAID_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  if (!late) return null;
  return (
    <p role="status" className="text-soft" data-log="waiting">
      {say.t('screen.common.notSavedYet', { count })}
    </p>
  );
}

/** Shows what is stored meanwhile on the page that is open, also what was while it was on its way. */
export function LogRefresh() {
  const sender = useSender();
  const router = useRouter();
  useEffect(() => {
    const look = () => {
      if (sender.takeChange()) router.refresh();
    };
    look();
    return sender.onLearnt(look);
  }, [sender, router]);
  return null;
}
