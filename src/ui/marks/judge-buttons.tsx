'use client';

import { VERDICTS, type Verdict } from '@/core/log';
import { sayVerdict } from '@/words';
import { useSpeech } from '../base';
import { VerdictSign } from './verdict-sign';

/** Says later how a try was. @param of the try in words */
export function JudgeButtons({ of, onJudge }: { of: string; onJudge: (verdict: Verdict) => void }) {
  const { say } = useSpeech();
  return (
    <span role="group" aria-label={of} className="inline-flex flex-wrap gap-1">
      {VERDICTS.map((verdict) => (
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
