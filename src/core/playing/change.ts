import type { TempoMap } from '../time';
import { sayCall } from './call';
import { isOut, type Score } from './score';

/** What begins in a bar, for whoever has to be ready one bar earlier: a part of a sequence, another
 * tempo, a bar that is called, the click going or coming back; empty where all goes on as it is.
 * @param bar from 0
 * @example a ramp by 5 every 4 bars from 60: sayChangeAt(score, tempi, 4) // => '65' */
export function sayChangeAt(score: Score, tempi: TempoMap, bar: number): string {
  const { exercise, click, calls, lengthTicks } = score;
  if (bar <= 0 || (lengthTicks !== null && bar * exercise.barTicks >= lengthTicks)) return '';
  const says: string[] = [];
  if (calls) {
    const call = calls[bar] ?? 'own';
    if (call !== calls[bar - 1]) says.push(sayCall(call));
  } else {
    const inCycle = bar % exercise.bars;
    const part = exercise.members.findIndex(({ fromBar }) => fromBar === inCycle);
    if (part >= 0) says.push(exercise.members[part]?.name || 'from the top');
  }
  const tempo = tempi.find(({ at }) => at === bar * exercise.barTicks);
  if (tempo) says.push(String(tempo.tempo.bpm));
  if (isOut(click, bar) !== isOut(click, bar - 1))
    says.push(isOut(click, bar) ? 'click out' : 'click');
  return says.join(', ');
}

/** The part of a sequence that is played in a bar; empty for the first, and without parts. */
export function partAt({ exercise }: Score, bar: number): string {
  const inCycle = bar % exercise.bars;
  return exercise.members.findLast(({ fromBar }) => fromBar <= inCycle)?.name ?? '';
}
