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

/** The JavaScript that a screen loads until it rests, in KB gzipped, from a page with nothing kept. */
async function scriptsOf(page: Page, url: string): Promise<number> {
  const bodies: Promise<Buffer>[] = [];
  const listen = (response: Awaited<ReturnType<Page['waitForResponse']>>) => {
    if (/\.js(\?|$)/.test(response.url())) bodies.push(response.body());
  };
  page.on('response', listen);
  await page.goto(url);
  await page.waitForLoadState('networkidle');
  page.off('response', listen);
  const sizes = (await Promise.all(bodies)).map((body) => gzipSync(body).length);
  return sizes.reduce((sum, size) => sum + size, 0) / 1024;
}

/** The demo studio. */
function demo(folder: string): void {
  execFileSync(bin('tsx'), ['scripts/seed.ts'], { env: { ...process.env, MIVVEL_DATA: folder } });
}

/** How much JavaScript each screen loads, charts and what is loaded ahead of a touch included. */
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
        const size = await scriptsOf(page, path);
        await page.close();
        rows.push({
          what: `JavaScript of ${path}, gzipped`,
          measured: `${size.toFixed(0)} KB`,
          against: `${(size / most).toFixed(2)} × the ${most} KB that are meant`,
        });
      }
      await context.close();
    }
    return rows;
  }, demo);
}
