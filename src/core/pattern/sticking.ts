import { fail, ok, type Issue, type Path, type Result } from '../issue';
import type { StickingLetter } from '../kit';

/** Reads `RLLK RL`: words of letters R L K F, a word for each cell or beat.
 * @returns issue `sticking-token` for each letter that is no limb */
export function parseSticking(
  text: string,
  path: Path = ['sticking'],
): Result<readonly (readonly StickingLetter[])[]> {
  const issues: Issue[] = [];
  let at = 0;
  const words = text
    .trim()
    .split(/\s+/)
    .map((word) =>
      [...word].map((token) => {
        if (!/^[RLKF]$/.test(token)) issues.push({ code: 'sticking-token', path, token, at });
        at += 1;
        return token as StickingLetter;
      }),
    );
  if (at === 0) issues.push({ code: 'sticking-token', path, token: '', at: 0 });
  return issues.length > 0 ? fail(...issues) : ok(words);
}

/** Hands swap, feet stay. @example mirrorSticking('RLLK') // => 'LRRK' */
export function mirrorSticking(text: string): string {
  return text.replace(/[RL]/g, (letter) => (letter === 'R' ? 'L' : 'R'));
}
