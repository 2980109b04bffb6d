import type { EntryId, PersonId } from '@/core/studio';
import type { Posted } from '@/core/log';
import type { Waiting } from './queue';

const storageKey = (person: PersonId) => `mivvel log ${person}`;

/** What waits in this browser, whichever page made it; null where the browser keeps nothing. */
export function readWaiting(person: PersonId): readonly Waiting[] | null {
  const kept = read(storageKey(person));
  if (kept === undefined) return null;
  const waiting = Array.isArray(kept) ? (kept as Waiting[]) : [];
  const former = readFormer(person);
  return former && waiting.every(({ entry }) => entry.id !== former.entry.id)
    ? [former, ...waiting]
    : waiting;
}

export function keepWaiting(person: PersonId, waiting: readonly Waiting[]): void {
  try {
    if (waiting.length === 0) localStorage.removeItem(storageKey(person));
    else localStorage.setItem(storageKey(person), JSON.stringify(waiting));
    localStorage.removeItem(formerKeyOf(person));
  } catch {
    // A browser without storage still sends; only a reload would lose what waits.
  }
}

/** An earlier version kept one entry, in another form. */
const formerKeyOf = (person: PersonId) => `mivvel outbox ${person}`;

interface Former {
  readonly entry: {
    readonly kind: 'try' | 'broke' | 'suffered';
    readonly body: { readonly id: EntryId; readonly tryId: EntryId; readonly agoMs?: number };
  };
  readonly madeAt: number;
}

function readFormer(person: PersonId): Waiting | null {
  const kept = read(formerKeyOf(person)) as Former | null;
  if (!kept?.entry?.body) return null;
  const { kind, body } = kept.entry;
  const { id, agoMs: _, ...said } = body;
  const base = { kind, id, agoMs: 0 };
  if (kind !== 'try') {
    const { tryId, ...rest } = said;
    return {
      entry: { ...base, about: tryId, body: rest } as unknown as Posted,
      madeAt: kept.madeAt,
    };
  }
  const { sessionId, assignmentId, itemId, ...rest } = said as unknown as Record<string, unknown>;
  const entry = { ...base, sessionId, assignmentId, itemId, body: rest } as unknown as Posted;
  return { entry, madeAt: kept.madeAt };
}

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null');
  } catch (error) {
    return error instanceof SyntaxError ? null : undefined;
  }
}
