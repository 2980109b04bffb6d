import { cuesOf, type Cue } from '../analysis';
import {
  beatPlaces,
  isOnRung,
  recipeOnRung,
  rungAt,
  whyOf,
  type Course,
  type LadderState,
  type Why,
} from '../ladder';
import type { JudgedTry } from '../log';
import type { ClosedRecipe, Exercise } from '../recipe';
import { parseMeter, tempoFor } from '../time';
import { must } from '../issue';
import { playedOn, type Fitted } from './fitted';

/** What a ladder asks for now. */
export interface OnStand {
  /** What is played: on this kit, as the rung asks, varied. */
  readonly plays: ClosedRecipe;
  readonly why: Why;
  readonly cues: readonly CueLine[];
}

/** Where this student's tries break, in ticks of the cycle, and how often of late. */
export interface BrokeCue {
  readonly kind: 'broke';
  readonly at: number;
  readonly times: number;
}

/** What to watch for: the teacher's own words, where it broke, or what was found. */
export type CueLine = Cue | BrokeCue | { readonly kind: 'own'; readonly text: string };

/** Breaks on one beat that are worth a word, and most cues at once. Common practice, no source. */
const FEWEST_BREAKS = 2;
const MOST_CUES = 3;

/** The beat on which the last tries of the rung that is asked for broke most often; null where none did twice, and while it
 * is played in another way.
 * @param exercise as it is played there; null where it cannot be */
export function brokeCue(
  tries: readonly JudgedTry[],
  state: LadderState,
  exercise: Exercise | null,
): BrokeCue | null {
  if (!exercise || state.variation) return null;
  const counts = new Map<number, number>();
  for (const one of tries) {
    if (!isOnRung(state, one)) continue;
    for (const beat of one.broke) counts.set(beat, (counts.get(beat) ?? 0) + 1);
  }
  const [most] = [...counts].toSorted((a, b) => b[1] - a[1] || a[0] - b[0]);
  const place = most && beatPlaces(exercise)[most[0]];
  return place && most[1] >= FEWEST_BREAKS ? { kind: 'broke', at: place.at, times: most[1] } : null;
}

/** @param item its course, and the cues that were written for it  @param cue what the teacher has this student
 * watch for before them; empty for nothing  @param late the last tries */
export function onStand(
  fitted: Fitted,
  state: LadderState,
  item: { readonly course: Course; readonly cues: readonly string[] },
  { cue, late }: { readonly cue: string; readonly late: readonly JudgedTry[] },
): OnStand {
  const rung = rungAt(state.rungs, state.rung);
  const now = playedOn(fitted, rung, state.variation);
  const asked = recipeOnRung(fitted.whole, rung, state.variation);
  const meter = must(parseMeter(fitted.whole.meter));
  const own = [...(cue === '' ? [] : [cue]), ...item.cues].map(
    (text) => ({ kind: 'own', text }) as const,
  );
  const found = own.length > 0 || !now ? own : cuesOf(now, tempoFor(meter, state.bpm));
  const broke = brokeCue(late, state, now);
  const cues = broke ? [broke, ...found].slice(0, Math.max(MOST_CUES, own.length)) : found;
  return {
    plays: asked.ok ? asked.value : fitted.whole,
    why: asked.ok ? whyOf(state, item.course) : { kind: 'cannot-be-varied' },
    cues,
  };
}
