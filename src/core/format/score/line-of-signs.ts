import { restsOf } from '../../reading';
import { quarters, type Tick } from '../../time';
import type { ScoreSign } from './score';

/** One bar of a line in the shorthand, as it is written; what nothing stands in is rests.
 * @returns null where a value has no sign in the shorthand */
export function lineOfSigns(signs: readonly ScoreSign[], whole: Tick): string | null {
  const tokens: (string | null)[] = [];
  let at = 0;
  let group: ScoreSign[] = [];
  const rests = (ticks: number) => {
    if (ticks > 0) tokens.push(restsOf(ticks));
  };
  for (const sign of signs) {
    if (group.length === 0) rests(sign.at - at);
    at = sign.at + sign.ticks;
    if (sign.tuplet === null && sign.base === null) {
      if (sign.isRest) rests(sign.ticks);
      else tokens.push(null);
    } else if (sign.tuplet === null) tokens.push(signText(sign));
    else {
      group.push(sign);
      if (isWhole(group)) {
        tokens.push(`${sign.tuplet.played}(${group.map(signText).join(' ')})`);
        group = [];
      }
    }
  }
  if (group.length > 0) tokens.push(null);
  rests(whole - at);
  if (tokens.some((one) => one === null)) return null;
  // A tie joins what it ties, as it is typed.
  return tokens.join(' ').replaceAll('~ ', '~');
}

function signText({ base, dots, isRest, tied }: ScoreSign): string {
  return `${base}${'.'.repeat(dots)}${isRest ? 'r' : ''}${tied ? '~' : ''}`;
}

/** Whether a tuplet is full: as long as the plain notes that it stands for, or some times that. */
function isWhole(group: readonly ScoreSign[]): boolean {
  const [first] = group;
  if (!first?.tuplet) return false;
  const shortest = Math.max(...group.map(({ base }) => base ?? 1));
  const unit = quarters(4, shortest) * first.tuplet.inTimeOf;
  return group.reduce((sum, { ticks }) => sum + ticks, 0) % unit === 0;
}
