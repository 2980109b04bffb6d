import { cuesOf, type Cue } from '../analysis';
import { recipeOnRung, rungAt, whyOf, type Course, type LadderState, type Why } from '../ladder';
import type { ClosedRecipe } from '../recipe';
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

/** What to watch for: the teacher's own words, or what was found. */
export type CueLine = Cue | { readonly kind: 'own'; readonly text: string };

/** @param item its course, and the cues that were written for it  @param cue what the teacher has this student
 * watch for before them; empty for nothing */
export function onStand(
  fitted: Fitted,
  state: LadderState,
  item: { readonly course: Course; readonly cues: readonly string[] },
  cue = '',
): OnStand {
  const rung = rungAt(state.rungs, state.rung);
  const now = playedOn(fitted, rung, state.variation);
  const asked = recipeOnRung(fitted.whole, rung, state.variation);
  const meter = must(parseMeter(fitted.whole.meter));
  const own = [...(cue === '' ? [] : [cue]), ...item.cues].map(
    (text) => ({ kind: 'own', text }) as const,
  );
  const cues = own.length > 0 || !now ? own : cuesOf(now, tempoFor(meter, state.bpm));
  return {
    plays: asked.ok ? asked.value : fitted.whole,
    why: asked.ok ? whyOf(state, item.course) : { kind: 'cannot-be-varied' },
    cues,
  };
}
