import type { Posted } from '@/core/log';
import type { SessionId } from '@/core/studio';
import type { Played } from './round';

/** What was played, for the log: how it went is said later, or never. */
export function tryEntry(played: Played, sessionId: SessionId | null): Posted<'try'> {
  const { id, item, rung, bpm, bars, seconds, stopped } = played;
  return {
    kind: 'try',
    id,
    agoMs: 0,
    sessionId,
    assignmentId: item.assignmentId,
    itemId: item.item.id,
    body: { bpm, rung, verdict: null, bars, seconds, ...(stopped && { stopped }) },
  };
}
