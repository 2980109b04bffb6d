import * as z from 'zod/mini';
import { amount } from '../shape';
import type { Day } from '../calendar';
import { idSchema, type AssignmentId, type EntryId, type ItemId, type SessionId } from '../id';
import {
  ENTRY_KINDS,
  KINDS,
  type Author,
  type Body,
  type EntryKind,
  type KindOfEntry,
} from './kinds';

/** Where an entry of a kind belongs, as whoever makes it says it. */
type Place<Kind extends EntryKind> = (typeof KINDS)[Kind]['about'] extends 'item'
  ? {
      readonly assignmentId: AssignmentId;
      readonly itemId: ItemId;
      /** The sitting; null where nobody sat down to play. */
      readonly sessionId: SessionId | null;
    }
  : (typeof KINDS)[Kind]['about'] extends 'student'
    ? unknown
    : { readonly about: EntryId };

/** An entry on its way into the log. The id is made where the entry is, so that sending it twice stores
 * it once. `agoMs` is how long ago that was by the clock that was there: a clock may be wrong, but it
 * runs. */
export type Posted<Kind extends EntryKind = EntryKind> = {
  [K in Kind]: {
    readonly kind: K;
    readonly id: EntryId;
    readonly agoMs: number;
    readonly body: Body<K>;
  } & Place<K>;
}[Kind];

/** An entry as it stands in the log. Entries about another one lie in that one's item. */
export type Logged<Kind extends EntryKind = EntryKind> = {
  [K in Kind]: {
    readonly kind: K;
    readonly id: EntryId;
    /** Grows with every entry of the log. */
    readonly seq: number;
    /** Null for what is about the student. */
    readonly itemId: ItemId | null;
    readonly about: EntryId | null;
    readonly by: Author;
    /** Epoch ms, by the server's clock. */
    readonly at: number;
    readonly day: Day;
    readonly body: Body<K>;
  };
}[Kind];

function postedOf(kind: EntryKind) {
  const { body, about }: KindOfEntry = KINDS[kind];
  const base = {
    kind: z.literal(kind),
    id: idSchema<'entry'>(),
    agoMs: z._default(amount(0), 0),
    body,
  };
  if (about === 'student') return z.strictObject(base);
  if (about !== 'item') return z.strictObject({ ...base, about: idSchema<'entry'>() });
  const assignmentId = idSchema<'assignment'>();
  const sessionId = z.nullable(idSchema<'session'>());
  return z.strictObject({ ...base, assignmentId, itemId: idSchema<'item'>(), sessionId });
}

const [first, ...others] = ENTRY_KINDS.map(postedOf) as [
  ReturnType<typeof postedOf>,
  ...ReturnType<typeof postedOf>[],
];

/** Checks an entry that comes from outside. */
export const postedSchema = z.discriminatedUnion('kind', [
  first,
  ...others,
]) as z.ZodMiniType<Posted>;

/** Whether a kind of entry is about an entry of another kind. */
export function isAbout(kind: EntryKind, other: EntryKind): boolean {
  const { about }: KindOfEntry = KINDS[kind];
  return Array.isArray(about) && about.includes(other);
}

/** Whether somebody may make an entry of a kind. */
export function mayMake(author: Author, kind: EntryKind): boolean {
  const { by }: KindOfEntry = KINDS[kind];
  return by.includes(author);
}

/** What an entry says, as it stands in a file.
 * @throws on what was never stored by Mivvel: a broken file */
export function readBody<Kind extends EntryKind>(kind: Kind, body: unknown): Body<Kind> {
  return KINDS[kind].body.parse(body) as Body<Kind>;
}
