import { isHand, type Limb } from '@/core/kit';
import { sayLimb } from '@/words';
import { useSpeech } from '../base';

/** A limb by its mark and its letters, for text: hands round, feet square; right solid, left
 * outlined. */
export function LimbSign({ limb, size = 12 }: { limb: Limb; size?: number }) {
  const { say } = useSpeech();
  const right = limb === 'RH' || limb === 'RF';
  const shape = { className: right ? 'mark-right' : 'mark-left', strokeWidth: 1.8 };
  return (
    <span
      className="inline-flex shrink-0 items-center gap-1 whitespace-nowrap"
      title={sayLimb(say, limb)}
    >
      <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden>
        {isHand(limb) ? (
          <circle cx={6} cy={6} r={4.8} {...shape} />
        ) : (
          <rect x={1.4} y={1.4} width={9.2} height={9.2} {...shape} />
        )}
      </svg>
      <span className="text-sm text-soft">{limb}</span>
    </span>
  );
}
