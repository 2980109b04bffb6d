'use client';

import { TICKS_PER_QUARTER, type Tempo } from '@/core/time';
import { sayTempoNote } from '@/words';
import { useSpeech } from '../base';

/** The note that a tempo counts: quarter, dotted quarter, half. */
export function TempoGlyph({
  tempo,
  size = 16,
}: {
  tempo: Pick<Tempo, 'beatTicks'>;
  size?: number;
}) {
  const { say } = useSpeech();
  const inQuarters = tempo.beatTicks / TICKS_PER_QUARTER;
  const open = inQuarters === 2;
  return (
    <svg
      width={size * 0.8}
      height={size}
      viewBox="0 0 16 20"
      role="img"
      aria-label={sayTempoNote(say, tempo)}
      className="inline-block"
    >
      <ellipse
        cx={5.5}
        cy={16}
        rx={4.2}
        ry={3}
        transform="rotate(-20 5.5 16)"
        className={open ? 'fill-none' : ''}
        fill="currentColor"
        stroke="currentColor"
        strokeWidth={1.4}
      />
      <path d="M9.4 15V1.5" stroke="currentColor" strokeWidth={1.4} />
      {inQuarters === 1.5 && <circle cx={13} cy={15} r={1.6} fill="currentColor" />}
    </svg>
  );
}
