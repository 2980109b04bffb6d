import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { describe, expect, it } from 'vitest';
import type * as Log from '@/core/log';
import { connectionOf } from '@/db/connection';
import { newId } from '.';
import { log, smallStudio, testContext, tryOf } from './studio.fixture';

const ROOT = process.cwd();
const GUIDE = readFileSync(join(ROOT, 'CONTRIBUTING.md'), 'utf8');

/** What the guide says to write into a file. */
function snippet(name: string): string {
  const found = new RegExp('```ts ' + name + '\\n([^`]*)```').exec(GUIDE)?.[1];
  if (!found) throw new Error(`nothing about ${name} in the guide`);
  return found;
}

/** Where it goes. */
const PLACES: Readonly<Record<string, RegExp>> = {
  kinds: /export const KINDS = \{\n/,
  fold: /const ADDS: Adds = \{\n/,
};

/** The log as it is once the guide was followed. */
async function extended(): Promise<typeof Log> {
  const { outputFiles } = await build({
    entryPoints: [join(ROOT, 'src/core/log/index.ts')],
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'node',
    plugins: [
      {
        name: 'the guide',
        setup({ onLoad }) {
          onLoad({ filter: /core\/log\/(kinds|fold)\.ts$/ }, ({ path }) => {
            const name = path.endsWith('kinds.ts') ? 'kinds' : 'fold';
            const place = PLACES[name];
            const text = readFileSync(path, 'utf8');
            const at = place?.exec(text);
            if (!at) throw new Error(`${path} is not what it was`);
            const end = at.index + at[0].length;
            const contents = text.slice(0, end) + snippet(name) + text.slice(end);
            return { contents, loader: 'ts' };
          });
        },
      },
    ],
  });
  const code = Buffer.from(outputFiles[0]?.text ?? '').toString('base64');
  return (await import(/* @vite-ignore */ `data:text/javascript;base64,${code}`)) as typeof Log;
}

describe('a kind of entry that is added as the guide says', () => {
  it('is checked, stored without a migration, and folded', async () => {
    const grown = await extended();
    const context = testContext();
    const studio = smallStudio(context);
    const entry = tryOf(studio);
    log(studio.student, studio.id, entry);
    const measured = {
      kind: 'measured',
      id: newId<'entry'>(studio.student),
      agoMs: 0,
      about: entry.id,
      body: { off: { RH: -12.5, LF: 30 } },
    };
    expect(grown.postedSchema.parse(measured)).toEqual(measured);
    expect(grown.postedSchema.safeParse({ ...measured, body: { off: 'early' } }).success).toBe(
      false,
    );
    expect(grown.ENTRY_KINDS).toContain('measured');

    const { $client } = connectionOf(context.db);
    $client
      .prepare(
        `insert into entry (id, studio_id, student_id, item_id, kind, about, "by", at, day, body)
         select ?, studio_id, student_id, item_id, 'measured', id, 'student', at, day, ? from entry`,
      )
      .run(measured.id, JSON.stringify(measured.body));
    const rows = $client
      .prepare('select seq, id, item_id as itemId, kind, about, "by", at, day, body from entry')
      .all() as { kind: 'try'; body: string }[];
    const entries = rows.map((row) => ({
      ...row,
      body: grown.readBody(row.kind, JSON.parse(row.body)),
    })) as unknown as Parameters<typeof grown.foldItem>[0];
    expect(grown.foldItem(entries)).toMatchObject([{ id: entry.id, off: measured.body.off }]);
  });
});
