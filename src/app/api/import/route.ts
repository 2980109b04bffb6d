import * as z from 'zod/mini';
import { fileChoicesSchema } from '@/core/format';
import type { Result } from '@/core/issue';
import { text } from '@/core/shape';
import type { FileLook, Imported } from '@/core/studio';
import { importFile, lookIntoFile, readApart } from '@/server';
import { teacherRoute } from '../../act';

const sent = z.object({
  name: text(300),
  /** The bytes of the file in Base64; whoever reads it says what is too much. */
  file: z.string(),
  /** `look`: what it would bring; `take`: it comes in. */
  act: z.enum(['look', 'take']),
  choices: fileChoicesSchema,
});

/** A file that comes in, whole or not at all. A route, for files are larger than an action may be. */
export const POST = teacherRoute(
  sent,
  async (me, { name, file, act, choices }): Promise<Result<FileLook | Imported>> => {
    const sentFile = { name, bytes: new Uint8Array(Buffer.from(file, 'base64')) };
    const read = await readApart(sentFile, choices);
    const run = act === 'look' ? lookIntoFile : importFile;
    return run(me, sentFile, choices, read);
  },
  { changes: true },
);
