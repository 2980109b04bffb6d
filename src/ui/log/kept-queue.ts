import type { PersonId } from '@/core/studio';
import type { Waiting } from './queue';

const storageKey = (person: PersonId) => `mivvel log ${person}`;

type Fields = Readonly<Record<string, unknown>>;

function isRecord(json: unknown): json is Fields {
  return typeof json === 'object' && json !== null && !Array.isArray(json);
}

/** Whether something kept has what the queue itself has to know. Whether it is an entry, the log alone can
 * tell: what it will never take is said, and waits to be left out. A schema would be a tenth of all that a
 * student's page loads. */
function isWaiting(json: unknown): json is Waiting {
  return (
    isRecord(json) &&
    typeof json.madeAt === 'number' &&
    isRecord(json.entry) &&
    typeof json.entry.kind === 'string' &&
    typeof json.entry.id === 'string'
  );
}

/** What waits in this browser, whichever page made it; null where the browser keeps nothing. */
export function readWaiting(person: PersonId): readonly Waiting[] | null {
  const stored = read(storageKey(person));
  if (stored === undefined) return null;
  const waiting = Array.isArray(stored) ? stored.filter(isWaiting) : [];
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

/** Where the former kind of entry belongs stood in its body. */
const PLACES = ['sessionId', 'assignmentId', 'itemId'];

function readFormer(person: PersonId): readonly Waiting[] {
  const stored = read(formerKeyOf(person));
  if (!isRecord(stored) || !isRecord(stored.entry) || !isRecord(stored.entry.body)) return [];
  const { kind, body } = stored.entry;
  const { id, agoMs: _, tryId, ...said } = body;
  const fields = Object.entries(said);
  const place = kind === 'try' ? fields.filter(([name]) => PLACES.includes(name)) : [];
  const rest = fields.filter((field) => !place.includes(field));
  const about = kind === 'try' ? {} : { about: tryId };
  const now = { kind, id, agoMs: 0, ...about, ...Object.fromEntries(place) };
  const waiting = { entry: { ...now, body: Object.fromEntries(rest) }, madeAt: stored.madeAt };
  return isWaiting(waiting) ? [waiting] : [];
}

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null');
  } catch (error) {
    return error instanceof SyntaxError ? null : undefined;
  }
}
