'use client';

import { startTransition, useActionState, type FormEvent } from 'react';

/** A form's action and its latest answer. Unlike a form's own `action`, it leaves what was typed
 * in the fields: the caller empties them when the answer is good. */
export function useFormAction<Answer>(
  action: (before: Awaited<Answer>, form: FormData) => Promise<Answer>,
  first: Awaited<Answer>,
): {
  answer: Awaited<Answer>;
  pending: boolean;
  onSubmit: (event: FormEvent<HTMLFormElement>) => void;
} {
  const [answer, dispatch, pending] = useActionState(action, first);
  return {
    answer,
    pending,
    onSubmit: (event) => {
      event.preventDefault();
      const form = new FormData(event.currentTarget);
      startTransition(() => dispatch(form));
    },
  };
}
