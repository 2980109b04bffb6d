import { legendSign, voicesPlayed } from '@/core/notation';
import type { Exercise } from '@/core/recipe';
import { sayVoice } from '@/words';
import { useSpeech } from '../base';
import { SPACE } from './columns';
import { Glyph } from './staff-bar';

/** In staff spaces, from the top line: stems up, stems down. */
const OVER = 5.2;
const UNDER = 4.4;
const WIDTH = 4;

/** Where each voice of an exercise stands on the staff. */
export function Legend({ exercise }: { exercise: Exercise }) {
  const { say } = useSpeech();
  const height = OVER + 4 + UNDER;
  return (
    <ul aria-label={say.t('screen.common.legendCapital')} className="mt-2 flex flex-wrap gap-x-4">
      {voicesPlayed(exercise).map((voice) => {
        const { glyphs, strokes } = legendSign(voice);
        return (
          <li key={voice} className="flex items-center gap-1.5 text-sm text-soft">
            <svg
              aria-hidden
              width={WIDTH * SPACE * LEGEND_SIZE}
              height={height * SPACE * LEGEND_SIZE}
              viewBox={`${-WIDTH / 2} ${-OVER} ${WIDTH} ${height}`}
              className="fill-ink"
            >
              <path
                d={[0, 1, 2, 3, 4].map((y) => `M${-WIDTH / 2} ${y}h${WIDTH}`).join('')}
                className="stroke-soft"
                strokeWidth={0.1}
              />
              {strokes.map(([x, y, right, bottom]) => (
                <rect key={`${x} ${y}`} x={x} y={y} width={right - x} height={bottom - y} />
              ))}
              {glyphs.map((one, index) => (
                <Glyph key={index} {...one} />
              ))}
            </svg>
            {sayVoice(say, voice)}
          </li>
        );
      })}
    </ul>
  );
}

const LEGEND_SIZE = 0.8;
