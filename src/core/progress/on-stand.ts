import { cuesOf } from '../analysis';
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
  readonly cues: readonly string[];
}

/** @param item its course, and the cues that were written for it */
export function onStand(
  fitted: Fitted,
  state: LadderState,
  item: { readonly course: Course; readonly cues: readonly string[] },
): OnStand {
  const rung = rungAt(state.rungs, state.rung);
  const now = playedOn(fitted, rung, state.variation);
  const asked = recipeOnRung(fitted.whole, rung, state.variation);
  const meter = must(parseMeter(fitted.whole.meter));
  const cues =
    item.cues.length > 0 || !now
      ? item.cues
      : cuesOf(now, tempoFor(meter, state.bpm)).map((cue) => cue.says);
  return {
    plays: asked.ok ? asked.value : fitted.whole,
    why: asked.ok ? whyOf(state, item.course) : { kind: 'cannot-be-varied' },
    cues,
  };
}
