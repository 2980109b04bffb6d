import { cuesOf } from '../analysis';
import { reasonText, recipeOnRung, rungAt, type Course, type LadderState } from '../ladder';
import type { ClosedRecipe } from '../recipe';
import { parseMeter, tempoFor } from '../time';
import { must } from '../issue';
import { playedOn, type Fitted } from './fitted';

/** What a ladder asks for now. */
export interface OnStand {
  /** What is played: on this kit, as the rung asks, varied. */
  readonly plays: ClosedRecipe;
  readonly reason: string;
  readonly cues: readonly string[];
}

/** The exercise was changed since, and the step or variation cannot be made of it any more. */
const CANNOT_BE_VARIED =
  'What was to be played instead cannot be made of this exercise any more: play all of it.';

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
    reason: asked.ok ? reasonText(state, item.course) : CANNOT_BE_VARIED,
    cues,
  };
}
