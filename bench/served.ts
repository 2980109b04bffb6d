import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { must } from '@/core/issue';
import { closeDb, openDb } from '@/db';
import { openStudio } from '@/server';
import { App } from '../e2e/server';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { browserPath } from '../scripts/lib/debian.mjs';

/** Runs something against Mivvel as it is built, on a file of its own.
 * @param run gets the address  @param fill puts something into the folder's file first */
async function withMivvel<T>(
  run: (url: string) => Promise<T>,
  fill: (folder: string) => void = () => {},
): Promise<T> {
  await ensureBuilt();
  const app = new App(mkdtempSync(join(tmpdir(), 'mivvel-bench-')));
  fill(app.folder);
  await app.start();
  try {
    return await run(app.url);
  } finally {
    await app.stop();
    rmSync(app.folder, { recursive: true, force: true });
  }
}

/** Measures in Chromium. @param fill puts something into the folder's file first */
export async function withPage<T>(
  measure: (page: Page, url: string) => Promise<T>,
  fill?: (folder: string) => void,
): Promise<T> {
  return withMivvel(async (url) => {
    const args = ['--disable-gpu', '--autoplay-policy=no-user-gesture-required'];
    const browser = await chromium.launch({
      executablePath: browserPath(),
      chromiumSandbox: false,
      args,
    });
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await page.goto(url);
      return await measure(page, url);
    } finally {
      await browser.close();
    }
  }, fill);
}

/** Measures in Chromium, as the owner of a studio that is empty. */
export async function withTeacher<T>(measure: (page: Page, url: string) => Promise<T>): Promise<T> {
  return withPage(async (page, url) => {
    await page.getByRole('button', { name: /^Ada / }).click();
    await page.waitForURL('**/bench');
    await page.goto(`${url}/students`);
    return measure(page, url);
  }, openBench);
}

function openBench(folder: string): void {
  const db = openDb(join(folder, 'mivvel.sqlite'));
  const studio = { studio: 'Bench', teacher: 'Ada', zone: 'Europe/Lisbon', demo: true };
  must(openStudio({ db, now: Date.now }, studio));
  closeDb(db);
}
