import { noteOfTempo, type Tempo } from '@/core/time';

/** The note that a tempo counts: quarter, dotted quarter, half. */
export function TempoGlyph({
  tempo,
  size = 16,
}: {
  tempo: Pick<Tempo, 'beatTicks'>;
  size?: number;
}) {
  const name = noteOfTempo(tempo);
  const open = name === 'half';
  return (
    <svg
      width={size * 0.8}
      height={size}
      viewBox="0 0 16 20"
      role="img"
      aria-label={name}
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
      {name.startsWith('dotted') && <circle cx={13} cy={15} r={1.6} fill="currentColor" />}
    </svg>
  );
}
