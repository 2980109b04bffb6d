'use client';

import { useEffect, useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import { Button, Trouble, useSpeech } from '@/ui/base';
import { Message } from '@/ui/shell';

/** What is wrong with the studio's file, where that is why a page broke. */
function useHealth(): readonly Issue[] | null {
  const [issues, setIssues] = useState<readonly Issue[] | null>(null);
  useEffect(() => {
    const asking = new AbortController();
    fetch('/api/health', { signal: asking.signal })
      .then(async (answer) => (await answer.json()) as Result<null>)
      .then((health) => setIssues(health.ok ? [] : health.issues))
      .catch(() => setIssues([]));
    return () => asking.abort();
  }, []);
  return issues;
}

export default function ErrorPage({ retry }: { error: Error; retry: () => void }) {
  const { say } = useSpeech();
  const issues = useHealth();
  // Until it is known, it is ours.
  const isOurs = issues === null || issues.length === 0;
  return (
    <Message title={say.t(isOurs ? 'screen.shell.wentWrong' : 'screen.shell.fileTrouble')}>
      {isOurs ? <p>{say.t('screen.shell.whatToTry')}</p> : <Trouble issues={issues} />}
      <p>
        <Button look="main" onClick={retry}>
          {say.t('screen.common.tryAgainCapital')}
        </Button>
      </p>
    </Message>
  );
}
