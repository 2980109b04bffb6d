'use client';

import { type Verdict } from '@/core/log';
import { sayVerdict } from '@/words';
import { useSpeech } from '../base';
import { VerdictSign } from './verdict-sign';

/** Says later how a try was. */
export function JudgeButtons({
  of,
  verdicts,
  onJudge,
}: {
  /** The try in words. */
  of: string;
  /** What it can be. */
  verdicts: readonly Verdict[];
  onJudge: (verdict: Verdict) => void;
}) {
  const { say } = useSpeech();
  return (
    <span role="group" aria-label={of} className="inline-flex flex-wrap gap-1">
      {verdicts.map((verdict) => (
        <button
          key={verdict}
          type="button"
          className="inline-flex min-h-6 items-center gap-1 rounded-sm border border-line bg-sheet px-1.5 text-sm hover:border-soft"
          onClick={() => onJudge(verdict)}
        >
          <VerdictSign verdict={verdict} /> {sayVerdict(say, verdict)}
        </button>
      ))}
    </span>
  );
}
