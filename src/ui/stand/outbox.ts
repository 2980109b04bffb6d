import type { Issue, Result } from '@/core/issue';
import { makeId, type Id, type PersonId, type StoredTry } from '@/core/studio';
import type { Entry } from './machine';

/** An id made where the entry is made, so that sending it twice stores it once. */
export function newEntryId<Kind extends string>(): Id<Kind> {
  return makeId<Kind>(Date.now(), crypto.getRandomValues(new Uint8Array(12)));
}

const ADDRESS: Readonly<Record<Entry['kind'], string>> = {
  try: '/api/tries',
  suffered: '/api/suffered',
};

/** How an entry fared: stored, refused with reasons, or not sent at all. */
export type Sent =
  | { readonly kind: 'stored'; readonly answer: StoredTry | null }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] }
  | { readonly kind: 'unreached' };

/** Sends an entry; it stays in the outbox of this browser until the log has it. */
export async function send(person: PersonId, entry: Entry): Promise<Sent> {
  keep(person, entry);
  try {
    const response = await fetch(ADDRESS[entry.kind], {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(entry.body),
    });
    const answer = (await response.json()) as Result<StoredTry | null>;
    if (!answer.ok) return { kind: 'refused', issues: answer.issues };
    keep(person, null);
    return { kind: 'stored', answer: answer.value };
  } catch {
    return { kind: 'unreached' };
  }
}

function key(person: PersonId): string {
  return `mivvel outbox ${person}`;
}

function keep(person: PersonId, entry: Entry | null): void {
  try {
    if (entry) localStorage.setItem(key(person), JSON.stringify(entry));
    else localStorage.removeItem(key(person));
  } catch {
    // A browser without storage still sends; only a reload would lose the entry.
  }
}

/** An entry that an earlier page could not get stored. */
export function unsent(person: PersonId): Entry | null {
  try {
    const text = localStorage.getItem(key(person));
    return text ? (JSON.parse(text) as Entry) : null;
  } catch {
    return null;
  }
}

/** Gives an entry up that the log will never take. */
export function drop(person: PersonId): void {
  keep(person, null);
}
