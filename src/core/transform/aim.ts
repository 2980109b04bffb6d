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
import { barTicks, slotTicks, tempoBeatTicks, tick, wrap, type Meter, type Tick } from '../time';
import type { Aim } from './aim-schema';
import type { Change } from './change-schema';

/** So many bars of groove, then the phrase, placed backwards from where it lands; what lands after
 * the end wraps to the start. The whole is as long as it is said to be, whatever the phrase's own
 * length; never shorter than the phrase itself.
 * @returns layers of their own lengths, not looped to one cycle
 * @example a one-bar ruff whose last note is to fall on beat 1 starts before the bar line */
export function aimPhrase(layers: readonly Layer[], aim: Aim, bar: Tick): readonly Layer[] {
  const aimed = aimedAt(layers, aim, bar);
  if (!aimed) return layers;
  const { looped, phrase, from, every, ticks } = aimed;
  const own = phrase.lengthTicks;
  const placed: Layer = {
    role: 'line',
    name: phrase.name,
    lengthTicks: every,
    strokes: Array.from({ length: aim.times }, (_, pass) =>
      phrase.strokes.map((stroke): Stroke => {
        const start = from + (pass + (stroke.tail ? 1 : 0)) * own;
        const at = tick(wrap(start + stroke.at, every));
        return asTail({ ...stroke, at }, fillsFromBefore(stroke, at));
      }),
    )
      .flat()
      .sort(inTimeOrder),
  };
  // On what it lands with its last note, the groove lands, too.
  const rests = aim.by === 'last note' ? ticks - own + lastOf(phrase) : ticks;
  const under = (at: number) => wrap(at - from, every) < rests;
  return layers.map((layer) => {
    if (layer === looped) return placed;
    const groove = unloopLayer(layer);
    if (aim.over === 'goes on') return groove;
    const whole = loopLayer(groove, commonCycle([groove.lengthTicks, every]));
    return { ...whole, strokes: whole.strokes.filter(({ at }) => !under(at)) };
  });
}

/** Where a phrase is aimed at, in ticks: after the end of the whole, or, for its start, after the whole's own.
 * @example its start on beat 3 of bar 4, in 4/4 // => 14 quarters */
export function landsTicks(
  { by, bars, lands, slot, on }: Extract<Change, { kind: 'aim' }>,
  meter: Meter,
): number {
  const after = lands * slotTicks(slot);
  if (by !== 'start') return after;
  const { bar, beat } = on ?? { bar: bars, beat: 1 };
  return (bar - 1) * barTicks(meter) + (beat - 1) * tempoBeatTicks(meter) + after;
}

/** Where an aimed phrase lies: from where (negative is before the start), how long, and after how many
 * ticks again. Null where there is none. */
export function aimedAt(
  layers: readonly Layer[],
  aim: Omit<Aim, 'over'>,
  bar: Tick,
): {
  readonly looped: Layer;
  readonly phrase: Layer;
  readonly from: number;
  readonly every: Tick;
  readonly ticks: number;
} | null {
  const looped = layers.find((layer) => layer.role === 'line');
  if (!looped || looped.strokes.length === 0) return null;
  const phrase = unloopLayer(looped);
  const own = phrase.lengthTicks;
  const ticks = own * aim.times;
  const every = tick(Math.max(aim.bars, Math.ceil(ticks / bar)) * bar);
  if (aim.by === 'start') return { looped, phrase, from: aim.landsTicks, every, ticks };
  const from = every + aim.landsTicks + (aim.by === 'end' ? 0 : own - lastOf(phrase)) - ticks;
  return { looped, phrase, from, every, ticks };
}

/** Where the last note of a phrase lies in it. */
function lastOf(phrase: Layer): number {
  return phrase.strokes.findLast((stroke) => !stroke.tail)?.at ?? 0;
}
