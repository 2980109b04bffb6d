import * as z from 'zod/mini';
import { whole } from '../shape';
import {
  asTail,
  commonCycle,
  fillsFromBefore,
  inTimeOrder,
  loopLayer,
  unloopLayer,
  type Layer,
  type Stroke,
} from '../pattern';
import { tick, wrap, type Tick, subdivisionSchema } from '../time';

export const aimSchema = z.strictObject({
  kind: z.literal('aim'),
  /** Length of the whole, in bars. */
  bars: whole(1, 64),
  /** How often the phrase is played, back to back. */
  times: whole(1, 16),
  /** Where it lands, in slots after the end of the whole; negative is before it. */
  lands: whole(-64, 64),
  slot: subdivisionSchema,
  /** What lands there: the phrase's end, or its last note. */
  by: z.enum(['end', 'last note']),
  /** What the ostinato does under the phrase. */
  over: z.enum(['goes on', 'rests']),
});

type Aim = Pick<z.infer<typeof aimSchema>, 'bars' | 'times' | 'by' | 'over'> & {
  /** In ticks. */
  readonly landsTicks: number;
};

/** So many bars of groove, then the phrase, placed backwards from where it lands; what lands after
 * the end wraps to the start. The whole is as long as it is said to be, whatever the phrase's own
 * length; never shorter than the phrase itself.
 * @returns layers of their own lengths, not looped to one cycle
 * @example a one-bar ruff whose last note is to fall on beat 1 starts before the bar line */
export function aimPhrase(layers: readonly Layer[], aim: Aim, barTicks: Tick): readonly Layer[] {
  const looped = layers.find((layer) => layer.role === 'line');
  if (!looped || looped.strokes.length === 0) return layers;
  const phrase = unloopLayer(looped);
  const own = phrase.lengthTicks;
  const bars = Math.max(aim.bars, Math.ceil((own * aim.times) / barTicks));
  const length = tick(bars * barTicks);
  const last = phrase.strokes.findLast((stroke) => !stroke.tail)?.at ?? 0;
  const start = length + aim.landsTicks + (aim.by === 'end' ? 0 : own - last) - own * aim.times;
  const placed: Layer = {
    role: 'line',
    name: phrase.name,
    lengthTicks: length,
    strokes: Array.from({ length: aim.times }, (_, pass) =>
      phrase.strokes.map((stroke): Stroke => {
        const from = start + (pass + (stroke.tail ? 1 : 0)) * own;
        const at = tick(wrap(from + stroke.at, length));
        return asTail({ ...stroke, at }, fillsFromBefore(stroke, at));
      }),
    )
      .flat()
      .sort(inTimeOrder),
  };
  const under = (at: number) => wrap(at - start, length) < own * aim.times;
  return layers.map((layer) => {
    if (layer === looped) return placed;
    const groove = unloopLayer(layer);
    if (aim.over === 'goes on') return groove;
    const whole = loopLayer(groove, commonCycle([groove.lengthTicks, length]));
    return { ...whole, strokes: whole.strokes.filter(({ at }) => !under(at)) };
  });
}
