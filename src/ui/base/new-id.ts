import { makeId, type Id } from '@/core/studio';

/** An id made where something is made, so that sending it twice stores it once. */
export function newId<Kind extends string>(): Id<Kind> {
  return makeId<Kind>(Date.now(), crypto.getRandomValues(new Uint8Array(12)));
}
