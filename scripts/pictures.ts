/** Takes the pictures of docs/screenshots anew, from the demo data of a fresh file. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { lookAs, phrase } from '../e2e/app';
import { App } from '../e2e/server';
import { ensureBuilt } from './lib/build.mjs';
import { browserPath } from './lib/debian.mjs';
import { bin, run } from './lib/run.mjs';

const DESK = { width: 1280, height: 800 };
const UPRIGHT = { width: 800, height: 1280 };

await ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), 'mivvel-pictures-'));
await run(bin('tsx'), ['scripts/seed.ts'], { MIVVEL_DATA: folder });
const app = new App(folder);
await app.start();
const browser = await chromium.launch({
  executablePath: browserPath(),
  chromiumSandbox: false,
  args: ['--disable-gpu', '--autoplay-policy=no-user-gesture-required'],
});

async function open(viewport = DESK, colorScheme: 'light' | 'dark' = 'light'): Promise<Page> {
  return browser.newPage({ baseURL: app.url, viewport, colorScheme });
}

async function take(page: Page, name: string): Promise<void> {
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  console.log(name);
}

async function teacher(): Promise<void> {
  const page = await open();
  await lookAs(page, 'Maren', '/bench');
  await phrase(page, 'What keeps going', 'jazz ride, hats on 2 and 4');
  await page.getByLabel('Reading line').fill('4. 4 8 4 | 8r 4 4 8 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Interpretation', 'phrase cells');
  await phrase(page, 'Feel', 'straight');
  await page.locator('[data-staff] [data-glyph^=notehead]').first().waitFor();
  await page.mouse.click(640, 420);
  // What was said in passing is gone by then.
  await page.getByRole('button', { name: 'Undo', exact: true }).waitFor({ state: 'hidden' });
  await take(page, 'bench');
  await page.getByRole('button', { name: 'Dark' }).click();
  await page.getByRole('button', { name: 'rows by limb' }).click();
  await page.mouse.move(10, 400);
  await take(page, 'bench-dark-by-limb');
  await page.getByRole('button', { name: 'Light' }).click();
  await page.goto('/variations');
  await page.getByRole('button', { name: /^Saved families:/ }).click();
  await page.keyboard.type('45 grooves');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'path 45' }).waitFor();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: 'path 15' }).waitFor();
  const path = page.getByRole('listbox', { name: 'Path' });
  await path.press('ArrowDown');
  await page.mouse.move(640, 780);
  await take(page, 'variations');
  await path.press('Enter');
  await page.getByRole('link', { name: 'steps' }).click();
  await page.getByRole('heading', { name: 'Steps' }).waitFor();
  await page.getByRole('listbox', { name: 'Path' }).press('End');
  await page.getByRole('listbox', { name: 'Path' }).press('Home');
  await take(page, 'steps');
  await page.goto('/materials?k=sticking&m=rudiment-25');
  await page.locator('[data-staff] [data-glyph^=notehead]').first().waitFor();
  await take(page, 'materials');
  await page.goto('/programs');
  await page.getByRole('link', { name: 'Cells for the revue' }).click();
  await page.getByLabel('Program name').waitFor();
  await page.getByRole('button', { name: /^Ladder of Cells, one 16th later/ }).click();
  await page.getByLabel('Choose Cells across the bar line').check();
  await take(page, 'program');
  await page.goto('/programs');
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await page.getByRole('link', { name: 'Each student’s version' }).click();
  await page.getByRole('heading', { name: 'Pit grooves: each student’s version' }).waitFor();
  await take(page, 'class');
  await page.goto('/students');
  await page.getByRole('heading', { name: 'Students' }).waitFor();
  await take(page, 'students');
  await page.getByRole('link', { name: 'Lotte' }).click();
  await page.locator('[aria-label^="Tempo over time"] svg').waitFor();
  await page.locator('[aria-label^="Practice by day"] svg').waitFor();
  await take(page, 'student');
  await page.getByRole('button', { name: 'Week on paper' }).click();
  await page.getByRole('button', { name: 'Print', exact: true }).waitFor();
  await page.setViewportSize({ width: 1280, height: 1160 });
  await take(page, 'sheet');
  await page.setViewportSize(DESK);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'ways in' }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  await page.getByRole('img', { name: /^Code that opens/ }).waitFor();
  await page.getByRole('button', { name: 'Make a code' }).click();
  await page.getByRole('status').locator('output').waitFor();
  await page.getByRole('button', { name: 'Show' }).click();
  await take(page, 'ways-in');
  await page.goBack();
  await page.getByRole('link', { name: 'enter a paper week' }).click();
  await page.locator('[data-cell="0 0"]:focus').waitFor();
  for (const key of [...'ccs', 'ArrowRight', ...'cc', 'Enter', ...'c'])
    await page.keyboard.press(key);
  await take(page, 'paper-week');
  await page.close();
}

async function student(): Promise<void> {
  const page = await open();
  await lookAs(page, 'Pia', '/today?minutes=30&on=kit');
  await page.getByRole('heading', { name: 'Today' }).waitFor();
  await take(page, 'today');
  await page.goto('/plan');
  await page.locator('[aria-label^="The way to the targets"] svg').waitFor();
  await page.getByRole('list', { name: 'What would help most' }).waitFor();
  await page.screenshot({ path: 'docs/screenshots/plan.png', fullPage: true });
  console.log('plan');
  await page.goto('/record');
  await page.locator('[aria-label^="Practice by day"] svg').waitFor();
  await take(page, 'record');
  await page.close();
}

/** The Stand in its four forms. */
async function stand(viewport: typeof DESK, tag: string): Promise<void> {
  for (const light of ['light', 'dark'] as const) {
    const page = await open(viewport, light);
    await lookAs(page, 'Pia', '/stand?minutes=30&on=kit');
    await page.locator('[data-stage=ready] svg').first().waitFor();
    if (light === 'light') await take(page, `stand-ready${tag}`);
    else {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.getByText(/^bar 2$/).waitFor();
      await take(page, `stand-playing${tag}`);
    }
    await page.close();
  }
}

try {
  await teacher();
  await student();
  await stand(DESK, '');
  await stand(UPRIGHT, '-upright');
} finally {
  await browser.close();
  await app.stop();
  rmSync(folder, { recursive: true, force: true });
}
