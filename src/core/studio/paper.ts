import { fail, ok, type Result } from '../issue';
import type { Verdict } from '../log';
import { parseBpm, type Bpm } from '../time';

/** One tick of a paper sheet: a try, and its tempo where it was not the rung's. */
export interface PaperTick {
  readonly verdict: Verdict;
  readonly bpm: Bpm | null;
}

const LETTERS: Readonly<Record<string, Verdict>> = { c: 'clean', s: 'shaky', l: 'lost' };

/** Reads a cell of a paper week: a letter for each try, a tempo before those that were played at it;
 * spaces and commas may stand anywhere, capitals count alike.
 * @param day for the message
 * @returns issue `tick` with the whole cell
 * @example typedTicks('cc 70s', 'Mon') // => clean, clean, and shaky at 70 */
export function typedTicks(text: string, day: string): Result<readonly PaperTick[]> {
  const ticks: PaperTick[] = [];
  const trouble = fail({ code: 'tick', path: [], text, day });
  let bpm: Bpm | null = null;
  for (const token of text.toLowerCase().match(/\d+(\.\d+)?|[^\s,]/g) ?? []) {
    if (/^\d/.test(token)) {
      const read = parseBpm(token);
      if (!read.ok) return trouble;
      bpm = read.value;
      continue;
    }
    const verdict = LETTERS[token];
    if (!verdict) return trouble;
    ticks.push({ verdict, bpm });
  }
  const endsWithTempo = /\d\s*$/.test(text);
  return endsWithTempo ? trouble : ok(ticks);
}
