import { newId } from '../base';
import { secondsAt } from '@/core/time';
import type { Posted } from '@/core/log';
import type { Day, EntryId, SessionId, StandItem } from '@/core/studio';
import type { SlotPlan } from './plan-slot';
import type { Played } from './round';

/** An entry about a try. */
export function about(tryId: EntryId) {
  return { id: newId<'entry'>(), agoMs: 0, about: tryId };
}

/** What the teacher has the student watch for from now on. */
export function cueEntry(of: StandItem, text: string, sessionId: SessionId): Posted<'cue'> {
  const { assignmentId, item } = of;
  const place = { assignmentId, itemId: item.id, sessionId };
  return { kind: 'cue', id: newId<'entry'>(), agoMs: 0, ...place, body: { text } };
}

/** A try that was played to its end. */
export function playedOf({ item, rung, bars, seconds }: SlotPlan): Played {
  const { key, bpm } = rung;
  return {
    id: newId<'entry'>(),
    item,
    rung: key,
    bpm,
    bars,
    seconds,
    stopped: false,
    whole: seconds,
  };
}

/** A try as far as it was played; null before a bar was over. @param ticks from its downbeat */
export function stoppedOf(plan: SlotPlan, ticks: number): Played | null {
  const bars = Math.floor(ticks / plan.exercise.barTicks);
  if (bars < 1) return null;
  return { ...playedOf(plan), bars, seconds: secondsAt(plan.tempi, ticks), stopped: true };
}

/** Bars are called otherwise on every date, and in every try of it. */
export function seedOf(day: Day, { today }: StandItem, index: number): number {
  return Number(day.replaceAll('-', '')) * 1000 + today.tries + index;
}
