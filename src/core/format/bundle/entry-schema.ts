import * as z from 'zod/mini';
import { daySchema } from '../../calendar';
import { ENTRY_KINDS, KINDS, type EntryKind } from '../../log';
import { text, whole } from '../../shape';

/** Names something inside of a bundle. */
export const localId = text(60);

/** Epoch ms. */
export const instant = whole(0, 8_640_000_000_000_000);

function entryOf(kind: EntryKind) {
  const { body, about } = KINDS[kind] as { body: z.ZodMiniType; about: unknown };
  const base = {
    kind: z.literal(kind),
    id: localId,
    by: z.enum(['student', 'teacher']),
    at: instant,
    day: daySchema,
    /** The sitting. */
    session: z.optional(localId),
    body,
  };
  if (about === 'student') return z.strictObject(base);
  // Where it lies is said by what it is about.
  if (about !== 'item') return z.strictObject({ ...base, about: localId });
  /** What was played, by the recipe's hash at that time. */
  const hash = z.optional(text(80));
  return z.strictObject({ ...base, given: localId, item: localId, hash });
}

const [first, ...others] = ENTRY_KINDS.map(entryOf) as [
  ReturnType<typeof entryOf>,
  ...ReturnType<typeof entryOf>[],
];

/** An entry of a student's log. */
export const entrySchema = z.discriminatedUnion('kind', [first, ...others]);
