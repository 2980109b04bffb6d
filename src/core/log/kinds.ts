import * as z from 'zod/mini';
import { whole, amount, text, typedText } from '../shape';
import { LIMBS } from '../kit';
import { decisionSchema } from './decision';
import { SUFFERING_IDS, VERDICTS } from './verdict';

/** Who makes an entry. */
export type Author = 'student' | 'teacher';

/** What a kind of entry says, who may make it, and what it is about: an item, the student, or an entry
 * of one of the named kinds. */
export interface KindOfEntry {
  readonly body: z.ZodMiniType;
  readonly by: readonly Author[];
  readonly about: 'item' | 'student' | readonly string[];
}

/** Every kind of entry that the log knows. */
export const KINDS = {
  /** What was played, and on which rung it was asked for (null: only the tempo is known).
   * `verdict`: how it went, where that was known at once; null where it is said later, or never.
   * `stopped`: before its dosage was over. `paper`: typed in from a sheet. */
  try: {
    body: z.strictObject({
      bpm: amount(20, 400),
      rung: z.nullable(text(200)),
      verdict: z.nullable(z.enum(VERDICTS)),
      bars: whole(0, 100_000),
      seconds: amount(0, 86_400),
      stopped: z.optional(z.boolean()),
      paper: z.optional(z.boolean()),
    }),
    by: ['student', 'teacher'],
    about: 'item',
  },
  /** How a try went; the last word counts, and null takes back what was said. */
  judged: {
    body: z.strictObject({ verdict: z.nullable(z.enum(VERDICTS)) }),
    by: ['student', 'teacher'],
    about: ['try'],
  },
  /** What suffered in a try. */
  suffered: {
    body: z.strictObject({ what: z.enum(SUFFERING_IDS), limb: z.nullable(z.enum(LIMBS)) }),
    by: ['student', 'teacher'],
    about: ['try'],
  },
  /** The felt beat of the cycle on which a try broke, from 0. */
  broke: {
    body: z.strictObject({ beat: whole(0, 4096) }),
    by: ['student', 'teacher'],
    about: ['try'],
  },
  /** What the student wrote about a try; the last word counts. */
  remark: {
    body: z.strictObject({ text: typedText(300) }),
    by: ['student'],
    about: ['try'],
  },
  /** What the teacher has the student watch for in an item, before what its program says; the last word
   * counts, and an empty one takes it away. */
  cue: {
    body: z.strictObject({ text: z.string().check(z.maxLength(120)) }),
    by: ['teacher'],
    about: 'item',
  },
  /** What the teacher decided about an item. */
  decided: { body: decisionSchema, by: ['teacher'], about: 'item' },
  /** What the teacher writes to the student. */
  note: {
    body: z.strictObject({ text: typedText(500) }),
    by: ['teacher'],
    about: 'student',
  },
  /** Takes what was played, decided or written back; what was taken back itself stands again. */
  'taken-back': {
    body: z.strictObject({}),
    by: ['teacher'],
    about: ['try', 'decided', 'note', 'taken-back'],
  },
} as const satisfies Readonly<Record<string, KindOfEntry>>;

export type EntryKind = keyof typeof KINDS;

/** What an entry of a kind says. */
export type Body<Kind extends EntryKind> = z.infer<(typeof KINDS)[Kind]['body']>;

export const ENTRY_KINDS = Object.keys(KINDS) as [EntryKind, ...EntryKind[]];
