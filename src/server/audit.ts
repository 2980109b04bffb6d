import type { Audited, PersonId } from '@/core/studio';
import { newId, type Context } from './context';
import { ifPossible } from './if-possible';

/** Whatever store notes what was done. */
interface Noting {
  readonly note: (row: {
    id: string;
    at: number;
    kind: Audited;
    byId: PersonId | null;
    aboutId: PersonId | null;
  }) => void;
}

/** Notes what somebody did, for the owner to read. What cannot be written is left: an export has to work on a full disk. */
export function note(
  { now, store }: Pick<Context, 'now'> & { readonly store: Noting },
  kind: Audited,
  byId: PersonId | null,
  aboutId: PersonId | null = null,
): void {
  ifPossible(() => store.note({ id: newId({ now }), at: now(), kind, byId, aboutId }));
}
