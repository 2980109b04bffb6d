import { isHand, type Limb } from '@/core/kit';
import type { Stroke } from '@/core/pattern';

/** How much larger or smaller a stroke is drawn than a normal one. */
const SIZES: Readonly<Record<Stroke['dynamic'], number>> = {
  ghost: 0.61,
  tap: 0.81,
  normal: 1,
  accent: 1.3,
};

/** A limb by its mark, small, in a drawing: hands round, feet square; right solid, left outlined.
 * @param r half the width of a normal stroke, in the drawing's units */
export function LimbDot({
  limb,
  dynamic = 'normal',
  x,
  y,
  r: normal,
}: {
  limb: Limb;
  dynamic?: Stroke['dynamic'];
  x: number;
  y: number;
  r: number;
}) {
  const r = normal * SIZES[dynamic];
  const right = limb === 'RH' || limb === 'RF';
  const look = { className: right ? 'mark-right' : 'mark-left', strokeWidth: 1.1 };
  return isHand(limb) ? (
    <circle cx={x} cy={y} r={r} {...look} />
  ) : (
    <rect x={x - r * 0.92} y={y - r * 0.92} width={r * 1.84} height={r * 1.84} {...look} />
  );
}
