import type { Call } from './clicks';

/** Calls bars in random order, none more than twice in a row, the first as it is written. An exercise of
 * one bar alternates with what the player makes up.
 * @param bars of the exercise  @param count bars to be played  @param random from 0 up to 1 */
export function callBars(bars: number, count: number, random: () => number): readonly Call[] {
  const choices: readonly Call[] =
    bars === 1 ? [0, 'own'] : Array.from({ length: bars }, (_, bar) => bar);
  const calls: Call[] = [];
  while (calls.length < count) {
    const [before, last] = calls.slice(-2);
    const open = before === last ? choices.filter((one) => one !== last) : choices;
    calls.push(calls.length === 0 ? 0 : (open[Math.floor(random() * open.length)] ?? 0));
  }
  return calls;
}
