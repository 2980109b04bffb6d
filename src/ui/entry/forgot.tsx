'use client';

import type { Issue } from '@/core/issue';
import { Button, Field, issuesAt, useFormAction, useSpeech } from '../base';

interface Answer {
  readonly issues: readonly Issue[];
  readonly sent: boolean;
}

/** Asks for a link that sets a password anew. */
export function Forgot({ ask }: { ask: (before: Answer, form: FormData) => Promise<Answer> }) {
  const { say } = useSpeech();
  const { answer, pending, onSubmit } = useFormAction<Answer>(ask, { issues: [], sent: false });
  if (answer.sent) {
    return (
      <p role="status" className="max-w-xl text-lg">
        {say.t('screen.entry.sent')}
      </p>
    );
  }
  return (
    <form noValidate onSubmit={onSubmit} className="flex max-w-md flex-col gap-4">
      <Field
        label={say.t('screen.entry.email')}
        name="email"
        type="email"
        autoComplete="username"
        required
        autoFocus
        maxLength={200}
        className="text-lg"
        issues={issuesAt(answer.issues, 'email')}
      />
      <p>
        <Button look="main" type="submit" disabled={pending} className="h-12 min-w-40 px-5 text-lg">
          {pending ? say.t('screen.entry.oneMoment') : say.t('screen.entry.sendLink')}
        </Button>
      </p>
    </form>
  );
}
