import type { Issue, Result } from '@/core/issue';
import type { PersonId, StoredTry } from '@/core/studio';
import type { Entry } from './machine';

const ADDRESS: Readonly<Record<Entry['kind'], string>> = {
  try: '/api/tries',
  broke: '/api/broke',
  suffered: '/api/suffered',
};

/** How an entry fared: stored, refused with reasons, or not sent at all. */
export type Sent =
  | { readonly kind: 'stored'; readonly answer: StoredTry | null }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] }
  | { readonly kind: 'unreached' };

/** Sends an entry; it stays in the outbox of this browser until the log has it. */
export async function send(person: PersonId, entry: Entry): Promise<Sent> {
  const kept = keep(person, entry);
  try {
    const response = await fetch(ADDRESS[entry.kind], {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(aged(entry, kept)),
    });
    const answer = (await response.json()) as Result<StoredTry | null>;
    if (!answer.ok) return { kind: 'refused', issues: answer.issues };
    drop(person);
    return { kind: 'stored', answer: answer.value };
  } catch {
    return { kind: 'unreached' };
  }
}

function key(person: PersonId): string {
  return `mivvel outbox ${person}`;
}

interface Kept {
  readonly entry: Entry;
  /** When it was made, by the clock of this browser. */
  readonly madeAt: number;
}

/** A try tells how long it has waited: the clock of a tablet may be wrong, but it runs. */
function aged({ kind, body }: Entry, { madeAt }: Kept): Entry['body'] {
  return kind === 'try' ? { ...body, agoMs: Math.max(0, Date.now() - madeAt) } : body;
}

/** Keeps an entry until the log has it; one that is kept already keeps its age. */
function keep(person: PersonId, entry: Entry): Kept {
  const before = read(person);
  const kept = before?.entry.body.id === entry.body.id ? before : { entry, madeAt: Date.now() };
  try {
    localStorage.setItem(key(person), JSON.stringify(kept));
  } catch {
    // A browser without storage still sends; only a reload would lose the entry.
  }
  return kept;
}

/** An older page kept the entry alone; how long it has waited is not known then. */
function read(person: PersonId): Kept | null {
  try {
    const text = localStorage.getItem(key(person));
    if (!text) return null;
    const kept = JSON.parse(text) as Kept | Entry;
    return 'entry' in kept ? kept : { entry: kept, madeAt: Date.now() };
  } catch {
    return null;
  }
}

/** An entry that an earlier page could not get stored. */
export function unsent(person: PersonId): Entry | null {
  return read(person)?.entry ?? null;
}

/** Gives an entry up that the log has, or will never take. */
export function drop(person: PersonId): void {
  try {
    localStorage.removeItem(key(person));
  } catch {
    // Nothing was kept.
  }
}
