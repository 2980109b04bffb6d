import type { Verdict } from '@/core/log';

/** Clean is solid, shaky open, lost crossed, not judged a dash: the same signs as in the chart. */
export function VerdictSign({ verdict, size = 12 }: { verdict: Verdict | null; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden className="inline-block">
      {verdict === null ? (
        <path d="M2.5 6H9.5" className="stroke-soft" strokeWidth={2} />
      ) : verdict === 'lost' ? (
        <path d="M2 2L10 10M10 2L2 10" className="stroke-warm" strokeWidth={2.4} />
      ) : (
        <circle
          cx={6}
          cy={6}
          r={4.4}
          className={verdict === 'clean' ? 'mark-right' : 'fill-none stroke-ink'}
          strokeWidth={1.8}
        />
      )}
    </svg>
  );
}
