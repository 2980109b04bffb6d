'use client';

import type { Issue } from '@/core/issue';
import { IssueWords } from './issue-words';

/** Issues in words, where they were made. `id` ties them to their field. */
export function Trouble({ issues, id }: { issues: readonly Issue[]; id?: string }) {
  if (issues.length === 0) return null;
  return (
    <ul id={id} role="alert" className="my-1 border-l-3 border-warm pl-2 text-sm text-ink">
      {issues.map((issue, index) => (
        <li key={index}>
          <IssueWords issues={[issue]} />
        </li>
      ))}
    </ul>
  );
}

/** The issues whose path begins with these parts. */
export function issuesAt(
  issues: readonly Issue[],
  ...path: readonly (string | number)[]
): readonly Issue[] {
  return issues.filter((issue) => path.every((part, index) => issue.path[index] === part));
}
