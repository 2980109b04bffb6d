import { isHand, texture, voice } from '@/core/kit';
import { gracesOf, type Stroke } from '@/core/pattern';
import { sayLimb, sayTexture, sayVoice } from '@/words';
import { useSpeech } from '../base';

const RADIUS: Readonly<Record<Stroke['dynamic'], number>> = {
  ghost: 4.6,
  tap: 6,
  normal: 7.4,
  accent: 9,
};

/** A limb mark: hands round, feet square; right solid, left outlined; accents larger with a caret,
 * ghosts in parentheses. With `letter` it names its voice. */
export function Mark({
  stroke,
  x,
  y,
  letter = false,
  scale = 1,
}: {
  stroke: Stroke;
  x: number;
  y: number;
  letter?: boolean;
  scale?: number;
}) {
  const { say } = useSpeech();
  const r = RADIUS[stroke.dynamic] * scale;
  const right = stroke.limb === 'RH' || stroke.limb === 'RF';
  const shape = {
    className: right ? 'mark-right' : 'mark-left',
    strokeWidth: 1.8 * scale,
  };
  const text = letter ? voice(stroke.voice).letter : '';
  return (
    <g data-limb={stroke.limb} data-voice={stroke.voice} data-dynamic={stroke.dynamic}>
      <title>
        {[
          sayLimb(say, stroke.limb),
          sayVoice(say, stroke.voice),
          stroke.texture && sayTexture(say, stroke.texture),
        ]
          .filter(Boolean)
          .join(', ')}
      </title>
      {isHand(stroke.limb) ? (
        <circle cx={x} cy={y} r={letter ? r + 1.5 * scale : r} {...shape} />
      ) : (
        <rect
          x={x - r * (letter ? 1.15 : 0.92)}
          y={y - r * (letter ? 1.15 : 0.92)}
          width={r * (letter ? 2.3 : 1.84)}
          height={r * (letter ? 2.3 : 1.84)}
          {...shape}
        />
      )}
      {text && (
        <text
          x={x}
          y={y + 3.4 * scale}
          textAnchor="middle"
          fontSize={(text.length > 1 ? 8 : 9.5) * scale}
          fontWeight={700}
          className={right ? 'fill-sheet' : 'fill-ink'}
        >
          {text}
        </text>
      )}
      {stroke.texture && (
        <text
          x={x + r + 3 * scale}
          y={y + 10 * scale}
          fontSize={9 * scale}
          className="fill-soft"
          data-texture={stroke.texture}
        >
          {texture(stroke.texture).letter}
        </text>
      )}
      {stroke.ornament && <OrnamentMark stroke={stroke} x={x} y={y} r={r} scale={scale} />}
      {stroke.dynamic === 'accent' && (
        <path
          d={`M${x - 4 * scale} ${y - r - 2.5 * scale}l${4 * scale} ${-4.5 * scale}l${4 * scale} ${4.5 * scale}`}
          className="fill-none stroke-ink"
          strokeWidth={1.8 * scale}
        />
      )}
      {stroke.dynamic === 'ghost' && (
        <path
          d={`${bracket(x - r - 2.2 * scale, y, -scale)}${bracket(x + r + 2.2 * scale, y, scale)}`}
          className="fill-none stroke-ink"
          strokeWidth={1.2 * scale}
        />
      )}
    </g>
  );
}

function bracket(x: number, y: number, side: number): string {
  const h = 6 * Math.abs(side);
  return `M${x} ${y - h}q${3.2 * side} ${h} 0 ${2 * h}`;
}

/** Grace notes are small dots before the mark; a diddle has a stroke through it, a roll two, a buzz
 * a wave under it. */
function OrnamentMark({
  stroke,
  x,
  y,
  r,
  scale,
}: {
  stroke: Stroke;
  x: number;
  y: number;
  r: number;
  scale: number;
}) {
  const ornament = stroke.ornament;
  const graces = gracesOf(stroke).length;
  const line = 'fill-none stroke-ink';
  const under = y + r + 3 * scale;
  return (
    <g data-ornament={ornament}>
      {Array.from({ length: graces }, (_, index) => (
        <circle
          key={index}
          cx={x - r - (3.5 + index * 5) * scale}
          cy={y - 3 * scale}
          r={2 * scale}
          className="fill-ink"
        />
      ))}
      {(ornament === 'diddle' || ornament === 'roll') && (
        <path
          d={`M${x - 5 * scale} ${under + 2 * scale}l${10 * scale} ${-3 * scale}`}
          className={line}
          strokeWidth={1.8 * scale}
        />
      )}
      {ornament === 'roll' && (
        <path
          d={`M${x - 5 * scale} ${under + 5 * scale}l${10 * scale} ${-3 * scale}`}
          className={line}
          strokeWidth={1.8 * scale}
        />
      )}
      {ornament === 'buzz' && (
        <path
          d={`M${x - 6 * scale} ${under + 1 * scale}q${2 * scale} ${-3 * scale} ${4 * scale} 0t${4 * scale} 0t${4 * scale} 0`}
          className={line}
          strokeWidth={1.6 * scale}
        />
      )}
    </g>
  );
}
