import { createElement } from 'react';
import type { Issue, Result } from '@/core/issue';
import { IssueWords } from './issue-words';
import { NoConnection } from './speech';
import { toast } from './toast';

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
  if (answer) toastIssues(answer.issues);
  else toast.error(createElement(NoConnection));
  return null;
}

/** Says in a passing message what went wrong. */
export function toastIssues(issues: readonly Issue[]): void {
  toast.error(createElement(IssueWords, { issues }));
}
