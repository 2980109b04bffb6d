import type { Audited, PersonId } from '@/core/studio';
import { newId, type Context } from './context';

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

/** Notes what somebody did, for the owner to read. */
export function note(
  { now, store }: Pick<Context, 'now'> & { readonly store: Noting },
  kind: Audited,
  byId: PersonId | null,
  aboutId: PersonId | null = null,
): void {
  store.note({ id: newId({ now }), at: now(), kind, byId, aboutId });
}
