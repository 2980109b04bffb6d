import { instantsOf, type Instant } from '../analysis';
import { fail, ok, type Result } from '../issue';
import type { Lane } from '../materials';
import type { Stroke } from '../pattern';
import { emptyExercise, expand, type ClosedRecipe, type Exercise } from '../recipe';
import {
  beats,
  lcm,
  slotTicks,
  SUBDIVISION_IDS,
  swingOfSlot,
  wrap,
  type SubdivisionId,
  type SwingOf,
} from '../time';

/** Longest loop of two events in turn, in bars: longer ones are not heard as a loop. */
const MOST_BARS = 4;

/** Where the two events are struck in the loop, which lasts `length` ticks and is repeated. */
interface Placed {
  readonly feel: ClosedRecipe['feel'];
  readonly length: number;
  readonly strokes: readonly { readonly at: number; readonly stroke: Stroke }[];
}

/** Two neighbouring events, as far from each other as they sound in the exercise: the bridge that breaks,
 * as a loop of its own. What is arrived at keeps its place in the beat. In turn, and straight, where slots
 * of one grid can write what is heard in a few bars; otherwise both in their own places, in the exercise's
 * feel, once in every beat or bar.
 * @param from place in the cycle of the first event, in ticks  @param to of the one after it
 * @returns `nothing-to-play` where nothing is struck at either place */
export function bridgeLoop(recipe: ClosedRecipe, from: number, to: number): Result<ClosedRecipe> {
  const { then: _, ...alone } = recipe;
  const exercise = expand(alone);
  if (!exercise.ok) return exercise;
  const chain = instantsOf(exercise.value);
  const [first, second] = [from, to].map((at) => chain.find((one) => one.at === at));
  if (!first || !second || first === second) return fail({ code: 'nothing-to-play', path: [] });
  const { feel, length, strokes } =
    inTurn(first, second, exercise.value) ?? inPlace(first, second, exercise.value);
  const lanes = lanesOf(strokes, length);
  const { meter, kit } = alone;
  const content = { name: 'bridge', meter, swung: feel.kind !== 'straight', lanes };
  return ok({ ...emptyExercise(meter, kit), feel, over: [{ content }] });
}

/** One after the other for ever, each as far from the next as the two are heard; null where no slots can
 * write it, or the loop takes too many bars to come round. */
function inTurn(from: Instant, to: Instant, exercise: Exercise): Placed | null {
  const arrives = Math.round(to.soundsTicks);
  const apart = wrap(arrives - Math.round(from.soundsTicks), exercise.cycleTicks);
  const isOnGrid = SUBDIVISION_IDS.some(
    (id) => apart > 0 && apart % slotTicks(id) === 0 && arrives % slotTicks(id) === 0,
  );
  const length = 2 * apart;
  if (!isOnGrid || lcm(length, exercise.barTicks) > MOST_BARS * exercise.barTicks) return null;
  return {
    feel: { kind: 'straight' },
    length,
    strokes: [
      ...from.strokes.map((stroke) => ({ at: wrap(arrives - apart, length), stroke })),
      ...to.strokes.map((stroke) => ({ at: wrap(arrives, length), stroke })),
    ],
  };
}

/** Both where they are written: in every beat where they are nearer than that, else once in as many bars as
 * lie between them. */
function inPlace(from: Instant, to: Instant, exercise: Exercise): Placed {
  const { barTicks, meter, cycleTicks } = exercise;
  const apart = wrap(to.soundsTicks - from.soundsTicks, cycleTicks);
  const lengths = beats(meter).map((beat) => beat.ticks);
  const [beat = barTicks] = lengths;
  const isInBeat = apart < beat && lengths.every((one) => one === beat);
  const length = isInBeat ? beat : barTicks * Math.ceil(apart / barTicks);
  return {
    feel: exercise.feel,
    length,
    strokes: [...from.strokes, ...to.strokes].map((stroke) => ({
      at: wrap(stroke.at, length),
      stroke,
    })),
  };
}

function lanesOf(strokes: Placed['strokes'], length: number): Lane[] {
  const lanes = new Map<string, { readonly lane: Lane; readonly slots: string[] }>();
  for (const { at, stroke } of strokes) {
    const { limb, voice } = stroke.written ?? stroke;
    const slot = slotFor(at, length, stroke.swings);
    const key = `${limb} ${voice} ${slot}`;
    const slots =
      lanes.get(key)?.slots ?? Array.from({ length: length / slotTicks(slot) }, () => '-');
    slots[at / slotTicks(slot)] = MARK[stroke.dynamic];
    lanes.set(key, { lane: { limb, voice, slot, grid: '' }, slots });
  }
  return [...lanes.values()].map(({ lane, slots }) => ({ ...lane, grid: slots.join('') }));
}

/** The coarsest slots that a place lies on and that swing as its stroke does. */
function slotFor(at: number, length: number, swings: SwingOf | undefined): SubdivisionId {
  const fit = SUBDIVISION_IDS.filter(
    (id) => at % slotTicks(id) === 0 && length % slotTicks(id) === 0,
  );
  return fit.find((id) => swingOfSlot(slotTicks(id)) === swings) ?? fit[0] ?? '12';
}

const MARK = { ghost: 'g', tap: 'x', normal: 'x', accent: 'X' } as const;
