import type { Course } from './course-schema';
import { beginAt, moved, type Draft } from './draft';
import { NEVER } from './kernel';
import type { LadderState } from './state';

/** The rung in the middle, the lower of two. @example five rungs: 60 65 70 75 80 // => 2, that is 70 */
export function halfway(rungs: number): number {
  return Math.floor((rungs - 1) / 2);
}

/** A ladder on which nothing has happened begins halfway, where its course says so; any other stays as it is. Whether what
 * comes before it went without a miss is for those to know who have its log. */
export function headStart(state: LadderState, { headStart: may }: Course): LadderState {
  const rung = halfway(state.rungs.length);
  const isUntouched = state.reason.kind === 'start' && state.lastDay === NEVER;
  if (!may || !isUntouched || state.rung >= rung) return state;
  const draft: Draft = { ...state };
  beginAt(draft, rung);
  moved(draft, { kind: 'head-start' });
  return draft;
}
