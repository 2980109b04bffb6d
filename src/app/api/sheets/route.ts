import * as z from 'zod/mini';
import { lookSchema, type SheetOf } from '@/core/print';
import { ok, type Result } from '@/core/issue';
import { amount, list, text } from '@/core/shape';
import { FASTEST, SLOWEST } from '@/core/time';
import {
  getAddress,
  getSpeech,
  makeSheets,
  planSheets,
  type SheetLine,
  type Student,
  type Teacher,
} from '@/server';
import { sayOnPaperIn } from '@/words';
import { eitherStream } from '../../act';
import { languageNow } from '../../language';
import { all, closedRecipe, ids } from '../../shapes';

/** Most exercises on one sheet. */
const MOST = 500;

const wanted = z.object({
  what: z.discriminatedUnion('kind', [
    z.object({
      kind: z.literal('exercises'),
      title: text(200),
      entries: list(z.object({ name: text(200), recipe: z.unknown() }), 1, MOST),
      bpm: amount(SLOWEST, FASTEST),
    }),
    z.object({ kind: z.literal('line'), name: text(200), text: text(4000), meter: text(20) }),
    z.object({ kind: z.literal('program'), program: ids.program }),
    z.object({ kind: z.literal('week'), student: ids.person, program: z.nullable(ids.program) }),
    z.object({ kind: z.literal('class'), program: ids.program }),
  ]),
  look: lookSchema,
  /** Pages to look at, or a file. */
  as: z.enum(['pages', 'pdf']),
});

/** Sheets as they are made, a line of JSON for each: its pages, or how far the file is; the file last. */
export const POST = eitherStream(wanted, async (me, { what, look, as }) => {
  const say = sayOnPaperIn(await languageNow(), getSpeech(me));
  const read = readWhat(what);
  if (!read.ok) return read;
  const planned = planSheets(me, say, read.value);
  return planned.ok ? ok(answered(me, makeSheets(say, look, planned.value, as))) : planned;
});

async function* answered(
  me: Teacher | Student,
  lines: AsyncIterable<SheetLine>,
): AsyncGenerator<SheetLine> {
  if (me.role === 'teacher') yield { address: getAddress(me) };
  yield* lines;
}

function readWhat(what: z.infer<typeof wanted>['what']): Result<SheetOf> {
  if (what.kind !== 'exercises') return ok(what);
  const recipes = all(what.entries.map(({ recipe }) => closedRecipe(recipe)));
  if (!recipes.ok) return recipes;
  const entries = recipes.value.map((recipe, index) => {
    return { name: what.entries[index]?.name ?? '', recipe };
  });
  return ok({ ...what, entries });
}
