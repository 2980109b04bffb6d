import { execFileSync } from 'node:child_process';
import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { bin } from '../scripts/lib/run.mjs';
import type { Row } from './report';
import { withPage } from './served';

const SCREENS = {
  teacher: {
    who: 'Maren',
    most: 300,
    paths: ['/bench', '/variations', '/materials', '/programs', '/students'],
  },
  student: { who: 'Deniz', most: 230, paths: ['/today', '/stand', '/record', '/plan'] },
} as const;

/** The JavaScript of a screen in KB gzipped, from a page with nothing kept.
 * @returns `first`: what the page names, without which it cannot be used; `then`: what comes when that
 * is there, until the screen rests: engines that draw, workers, passing messages */
async function scriptsOf(page: Page, url: string): Promise<{ first: number; then: number }> {
  const html = await (await page.request.get(url)).text();
  const seen = new Set<string>();
  const bodies: Promise<{ named: boolean; size: number }>[] = [];
  const listen = (response: Awaited<ReturnType<Page['waitForResponse']>>) => {
    const [, file = ''] = /([^/]+\.js)(?:\?|$)/.exec(response.url()) ?? [];
    // A worker asks again for what the page has.
    if (file === '' || seen.has(file)) return;
    seen.add(file);
    const named = html.includes(file);
    bodies.push(response.body().then((body) => ({ named, size: gzipSync(body).length })));
  };
  page.on('response', listen);
  await page.goto(url);
  await page.waitForLoadState('networkidle');
  page.off('response', listen);
  const sizes = { first: 0, then: 0 };
  for (const { named, size } of await Promise.all(bodies)) {
    sizes[named ? 'first' : 'then'] += size / 1024;
  }
  return sizes;
}

/** The demo studio. */
function demo(folder: string): void {
  execFileSync(bin('tsx'), ['scripts/seed.ts'], { env: { ...process.env, MIVVEL_DATA: folder } });
}

/** How much JavaScript each screen loads for its first view, and after it. */
export async function bundles(): Promise<Row[]> {
  return withPage(async (first, url) => {
    const rows: Row[] = [];
    for (const { who, most, paths } of Object.values(SCREENS)) {
      const context = await first.context().browser()?.newContext({ baseURL: url });
      if (!context) throw new Error('no browser');
      const start = await context.newPage();
      await start.goto('/');
      await start.getByRole('button', { name: new RegExp(`^${who} `) }).click();
      await start.waitForURL(/students|bench|today/);
      for (const path of paths) {
        const page = await context.newPage();
        const { first: size, then } = await scriptsOf(page, path);
        await page.close();
        rows.push({
          what: `JavaScript of ${path}, gzipped`,
          measured: `${size.toFixed(0)} KB, then ${then.toFixed(0)} KB`,
          against: `${(size / most).toFixed(2)} × the ${most} KB that are meant`,
        });
      }
      await context.close();
    }
    return rows;
  }, demo);
}
