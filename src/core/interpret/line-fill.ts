import { fail, ok, type Issue } from '../issue';
import type { Limb } from '../kit';
import { makeStroke, type Stroke } from '../pattern';
import { lineTicks, onsets } from '../reading';
import { slotTicks, tick } from '../time';
import { gridPlace, offGridIssue, placeInSlots } from './grid-place';
import type { LineFillOptions } from './line-fill-schema';
import type { Interpretation } from './types';

/** The line on one limb or two, every other slot filled low by another: one hand against the
 * other, cymbal and bass drum against the snare, left-hand triplets around short and long.
 * @example `8 4. 8 4.`, short snare, long bass drum, in triplets // => XgKgggXgKggg */
export const lineFill: Interpretation<LineFillOptions> = {
  kind: 'line-fill',
  reads: 'voices',
  claims: ({ short, long, fill }) => [
    ...new Set<Limb>([...short, ...long, fill].map((one) => one.limb)),
  ],
  reassign: (options, to) => ({
    ...options,
    short: options.short.map(to),
    long: options.long.map(to),
    fill: to(options.fill),
  }),
  play: (line, { short, long, longFrom, fill, grid }) => {
    const slot = slotTicks(grid);
    const written = placeInSlots(slot);
    const issues: Issue[] = [];
    const strokes: Stroke[] = [];
    const taken = new Map<number, number>();
    for (const onset of onsets(line)) {
      const at = gridPlace(onset, grid);
      if (at === null) {
        issues.push(offGridIssue(onset, grid, line));
        continue;
      }
      taken.set(at, onset.index);
      for (const { limb, voice } of onset.reads >= slotTicks(longFrom) ? long : short) {
        const from = { source: 'line', onset: onset.index } as const;
        strokes.push(makeStroke({ at, limb, voice, dynamic: 'accent', ...written, from }));
      }
    }
    if (issues.length > 0) return fail(...issues);
    let before = { onset: -1, at: 0 };
    for (let at = 0; at < lineTicks(line); at += slot) {
      const onset = taken.get(at);
      if (onset !== undefined) {
        before = { onset, at };
        continue;
      }
      const offset = tick(at - before.at);
      const from = { source: 'fill', onset: before.onset, cell: '', index: 0, offset } as const;
      const { limb, voice } = fill;
      strokes.push(makeStroke({ at: tick(at), limb, voice, dynamic: 'ghost', ...written, from }));
    }
    return ok(strokes);
  },
};
