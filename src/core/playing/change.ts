import type { TempoMap } from '../time';
import { isOut, type Call } from './clicks';
import type { Score } from './score';

/** What begins in a bar. */
export type ScoreChange =
  | { readonly kind: 'call'; readonly call: Call }
  /** A part of a sequence; the first has no name of its own. */
  | { readonly kind: 'part'; readonly name: string }
  | { readonly kind: 'tempo'; readonly bpm: number }
  | { readonly kind: 'click'; readonly out: boolean };

/** What begins in a bar, for whoever has to be ready one bar earlier: a part of a sequence, another
 * tempo, a bar that is called, the click going or coming back; empty where all goes on as it is.
 * @param bar from 0
 * @example a ramp by 5 every 4 bars from 60: changesAt(score, tempi, 4) // => tempo 65 */
export function changesAt(score: Score, tempi: TempoMap, bar: number): readonly ScoreChange[] {
  const { exercise, calls, lengthTicks } = score;
  if (bar <= 0 || (lengthTicks !== null && bar * exercise.barTicks >= lengthTicks)) return [];
  const found: ScoreChange[] = [];
  if (calls) {
    const call = calls[bar] ?? 'own';
    if (call !== calls[bar - 1]) found.push({ kind: 'call', call });
  } else {
    const inCycle = bar % exercise.bars;
    const part = exercise.members.find(({ fromBar }) => fromBar === inCycle);
    if (part) found.push({ kind: 'part', name: part.name });
  }
  const tempo = tempi.find(({ at }) => at === bar * exercise.barTicks);
  if (tempo) found.push({ kind: 'tempo', bpm: tempo.tempo.bpm });
  const out = isOut(score, bar);
  if (score.click !== 'off' && out !== isOut(score, bar - 1)) found.push({ kind: 'click', out });
  return found;
}

/** The part of a sequence that is played in a bar; empty for the first, and without parts. */
export function partAt({ exercise }: Score, bar: number): string {
  const inCycle = bar % exercise.bars;
  return exercise.members.findLast(({ fromBar }) => fromBar <= inCycle)?.name ?? '';
}
