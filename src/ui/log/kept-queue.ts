import * as z from 'zod/mini';
import type { PersonId } from '@/core/studio';
import type { Posted } from '@/core/log';
import type { Waiting } from './queue';

const storageKey = (person: PersonId) => `mivvel log ${person}`;

/** What the queue itself has to know of an entry. Whether it is one the log alone can tell: what it will
 * never take is said, and waits to be left out. */
const kept = z.object({
  entry: z.looseObject({ kind: z.string(), id: z.string() }),
  madeAt: z.number(),
});

function readKept(json: unknown): readonly Waiting[] {
  const read = kept.safeParse(json);
  return read.success ? [{ ...read.data, entry: read.data.entry as object as Posted }] : [];
}

/** What waits in this browser, whichever page made it; null where the browser keeps nothing. */
export function readWaiting(person: PersonId): readonly Waiting[] | null {
  const stored = read(storageKey(person));
  if (stored === undefined) return null;
  const waiting = Array.isArray(stored) ? stored.flatMap(readKept) : [];
  const known = new Set(waiting.map(({ entry }) => entry.id));
  return [...readFormer(person).filter(({ entry }) => !known.has(entry.id)), ...waiting];
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

const former = z.object({
  entry: z.object({
    kind: z.enum(['try', 'broke', 'suffered']),
    body: z.looseObject({ id: z.string() }),
  }),
  madeAt: z.number(),
});

/** Where the former kind of entry belongs stood in its body. */
const PLACES = ['sessionId', 'assignmentId', 'itemId'];

function readFormer(person: PersonId): readonly Waiting[] {
  const stored = former.safeParse(read(formerKeyOf(person)));
  if (!stored.success) return [];
  const { entry, madeAt } = stored.data;
  const { id, agoMs: _, tryId, ...said } = entry.body;
  const fields = Object.entries(said);
  const place = entry.kind === 'try' ? fields.filter(([name]) => PLACES.includes(name)) : [];
  const body = fields.filter((field) => !place.includes(field));
  const about = entry.kind === 'try' ? {} : { about: tryId };
  const now = { kind: entry.kind, id, agoMs: 0, ...about, ...Object.fromEntries(place) };
  return readKept({ entry: { ...now, body: Object.fromEntries(body) }, madeAt });
}

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null');
  } catch (error) {
    return error instanceof SyntaxError ? null : undefined;
  }
}
