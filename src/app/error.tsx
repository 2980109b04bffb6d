'use client';

import { Button, useSpeech } from '@/ui/base';
import { Message } from '@/ui/shell';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  const { say } = useSpeech();
  return (
    <Message title={say.t('screen.shell.wentWrong')}>
      <p>{say.t('screen.shell.whatIsSafe')}</p>
      <p>
        <Button look="main" onClick={reset}>
          {say.t('screen.common.tryAgainCapital')}
        </Button>
      </p>
    </Message>
  );
}
