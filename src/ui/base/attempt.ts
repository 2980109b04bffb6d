import { createElement } from 'react';
import { toast } from 'sonner';
import { issueText, type Result } from '@/core/issue';
import { Words } from './speech';

/** Runs something that needs the network; null when it could not be reached. */
export async function attempt<T>(run: () => Promise<T>): Promise<T | null> {
  try {
    return await run();
  } catch {
    return null;
  }
}

/** Runs a use case and says what went wrong in a passing message; null unless it went well. */
export async function attemptOrSay<T>(run: () => Promise<Result<T>>): Promise<{ value: T } | null> {
  const answer = await attempt(run);
  if (answer?.ok) return { value: answer.value };
  const text = answer
    ? answer.issues.map(issueText).join(' ')
    : 'No connection: nothing was changed. Try it again.';
  toast.error(createElement(Words, { text }));
  return null;
}
