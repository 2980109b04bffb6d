'use client';

import { startTransition, useActionState, useEffect, type FormEvent } from 'react';
import type { Issue } from '@/core/issue';
import { toastIssues } from './attempt';

/** A form's action and its latest answer. Unlike a form's own `action`, it leaves what was typed
 * in the fields: the caller empties them when the answer is good. What no field is to blame for, such as a full disk, is
 * said in passing. */
export function useFormAction<
  Answer extends readonly Issue[] | { readonly issues: readonly Issue[] },
>(
  action: (before: Awaited<Answer>, form: FormData) => Promise<Answer>,
  first: Awaited<Answer>,
): {
  answer: Awaited<Answer>;
  pending: boolean;
  onSubmit: (event: FormEvent<HTMLFormElement>) => void;
} {
  const [answer, dispatch, pending] = useActionState(action, first);
  useEffect(() => {
    const issues: readonly Issue[] = 'issues' in answer ? answer.issues : answer;
    const nobodys = issues.filter(({ path }) => path.length === 0);
    if (nobodys.length > 0) toastIssues(nobodys);
  }, [answer]);
  return {
    answer,
    pending,
    onSubmit: (event) => {
      event.preventDefault();
      const { submitter } = event.nativeEvent as SubmitEvent;
      const form = new FormData(event.currentTarget, submitter);
      startTransition(() => dispatch(form));
    },
  };
}
