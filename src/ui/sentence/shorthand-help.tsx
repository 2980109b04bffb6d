'use client';

import { CircleHelp } from 'lucide-react';
import type { ReactNode } from 'react';
import { sayList, sayNote, saySubdivision } from '@/words';
import { Pop, PopRoot, PopTrigger, useSpeech } from '../base';

/** What can be typed, and what it means. */
const EXAMPLES = [
  ['4  8  16', 'lengths'],
  ['4.', 'dotted'],
  ['8r', 'rest'],
  ['4~8', 'tied'],
  ['3(8 8 8)', 'triplet'],
  ['|', 'barLine'],
  ['x4', 'again'],
  ['RLLK RL', 'sticking'],
  ['fR dR uR UR >R', 'graces'],
  ['iR oR zR', 'rolls'],
  ['8t: RLL', 'grid'],
  ['4: 8: 16: 32: 4t: 16t:', 'grids'],
  ['3: 5: 6: 7: 9: 12:', 'toTheBeat'],
] as const;

function Example({ sign, children }: { sign: string; children: ReactNode }) {
  return (
    <tr>
      <th scope="row" className="pr-4 text-left font-semibold whitespace-pre">
        {sign}
      </th>
      <td className="text-soft">{children}</td>
    </tr>
  );
}

/** What can be typed where a line or a sticking stands. */
export function ShorthandHelp() {
  const { say } = useSpeech();
  const names = {
    quarter: sayNote(say, '4'),
    eighth: sayNote(say, '8'),
    sixteenth: sayNote(say, '16'),
    triplets: say.t(`notes.${say.notes}.eighthTriplets`),
    grids: sayList(
      say,
      (['4', '8', '16', '32', '4t', '16t'] as const).map((id) => saySubdivision(say, id)),
    ),
  };
  return (
    <PopRoot>
      <PopTrigger
        aria-label={say.t('screen.bench.howToTypeALine')}
        className="inline-flex size-6 shrink-0 items-center justify-center text-soft hover:text-ink"
      >
        <CircleHelp size={16} aria-hidden />
      </PopTrigger>
      <Pop align="end" className="p-3">
        <table className="text-sm">
          <tbody>
            {EXAMPLES.map(([sign, meaning]) => (
              <Example key={sign} sign={sign}>
                {say.t(`screen.bench.type.${meaning}`, { ...names })}
              </Example>
            ))}
            <Example sign={say.t('screen.bench.type.spelledLine', { ...names })}>
              {say.t('screen.bench.type.spelled')}
            </Example>
          </tbody>
        </table>
      </Pop>
    </PopRoot>
  );
}
