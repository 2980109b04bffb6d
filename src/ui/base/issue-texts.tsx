'use client';

import type { Issue } from '@/core/issue';
import { sayIssues, sayIssuesIn } from '@/words';
import { useSpeech } from './use-speech';

/** Issues in words. */
export function IssueTexts({ issues }: { issues: readonly Issue[] }) {
  const { say, speech } = useSpeech();
  return <>{sayIssues(sayIssuesIn(say.locale, speech), issues)}</>;
}
