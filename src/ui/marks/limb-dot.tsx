import { isHand, type Limb } from '@/core/kit';

/** A limb by its mark, small, in a drawing: hands round, feet square; right solid, left outlined.
 * @param r half its width, in the drawing's units */
export function LimbDot({ limb, x, y, r }: { limb: Limb; x: number; y: number; r: number }) {
  const right = limb === 'RH' || limb === 'RF';
  const look = { className: right ? 'mark-right' : 'mark-left', strokeWidth: 1.1 };
  return isHand(limb) ? (
    <circle cx={x} cy={y} r={r} {...look} />
  ) : (
    <rect x={x - r * 0.92} y={y - r * 0.92} width={r * 1.84} height={r * 1.84} {...look} />
  );
}
